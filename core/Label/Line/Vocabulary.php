<?php

declare(strict_types=1);

namespace Tally\Label\Line;

/**
 * The words on labels, as patterns without delimiters: English, German, French, Spanish, Italian, Dutch, Portuguese and Japanese.
 *
 * That these are the words makers print is common practice, no source.
 */
final readonly class Vocabulary
{
    /** Words of a script that sets no spaces. */
    public const UNSPACED = '読み?(?:取り?|出し?|込み?)(?:速度)?|書き?込み?(?:速度)?|最大|最低|持続';

    public const READ = 'reading|reads?|rd|R|lesen|lese(?:geschwindigkeit|rate|n)?|lecture|lect\.|lectura|lettura|lett\.'
        .'|lezen|lees(?:snelheid)?|leitura|読み?(?:取り?|出し?|込み?)(?:速度)?';

    /** The words, not the letter, which stands for a figure of its own. */
    public const WRITING = 'writ(?:e|ing)|schreib(?:geschwindigkeit|rate|en)?|[ée]criture|escritura|scrittura'
        .'|schrijven|schrijf(?:snelheid)?|escrita|grava[çc][ãa]o|書き?込み?(?:速度)?';

    public const WRITE = self::WRITING.'|writes|wr|W|[ée]cr\.|escr\.|scritt\.';

    public const BOTH = '(?:'.self::READ.') ?(?:[/&+]|and|und|et|y|e) ?(?:'.self::WRITE.')|L ?/ ?[ES]'
        .'|(?:'.self::WRITE.') ?[/&+] ?(?:'.self::READ.')|[ES] ?/ ?L';

    public const SUSTAINED = 'sustained|continuous|dauerhaft(?:e[nrs]?)?|dauer-?|konstant(?:e[nrs]?)?'
        .'|soutenue?|continue|sostenid[ao]|sustentad[ao]|continu[ao]|sostenut[ao]|garanti(?:e|ert|ta|da)|guaranteed|aanhoudend|持続';

    public const LEAST = 'min(?:imum|imal(?:e[nrs]?)?|ím?[ao]|im[ao])?\.?|at least|no less than|(?:never|not) (?:drops? )?(?:below|under)'
        .'|mindestens|au moins|al menos|almeno|minstens|pelo menos|最低';

    /** Between a word and its figure, and in front of either. */
    public const FILLER =
        'sequential|sequenziell(?:e[nrs]?)?|s[ée]quentielle|secuencial|sequenziale|seq\.?|max(?:imum|imal(?:e[nrs]?)?|im[ao])?\.?'.
        '|transfer|speeds?|rates?|geschwindigkeit(?:en)?|vitesses?|d[ée]bit|velocidad(?:es)?|velocit[àa]|performance'.
        '|snelhe(?:id|den)|velocidades?|速度|最大|tot|at[ée]|up to|bis(?: zu)?|jusqu[\'’]?[àa]|hasta|fino a(?:d)?'
        .'|of|von|de|di|is|at|and|[àa]|mit|avec|con|im|beim|in|en|van|para|op|bij|em';

    public const AND = 'and|und|et|y|e|en';

    public const TYPE = '(?:de |di )?(?:type|typ|tipo)';

    public const SPEED_CLASS = 'speed class|geschwindigkeitsklasse|class|klasse|classe|clase';

    /** On every label, and says nothing. */
    public const NOISE = '(?:memory |flash )?cards?|speicherkarten?|(?:carte|tarjeta|scheda)(?: (?:de |di )?(?:m[ée]moire|memoria))?|with';

    /** Figures that are no speed of the card: frames, temperatures, the link of a host, codes of a lot, prices. */
    public const OTHERS =
        '(?:\d{1,2}K ?)?\d{2,4}(?:[.,]\d+)? ?(?:fps|Hz|frames?(?: ?(?:/|per) ?s(?:ec(?:ond)?)?)?|Bilder/s|p)'
        .'|[+-]?\d{1,3} ?(?:° ?[CF]?)? ?(?:-|to|bis|à|\x7E|…|\.\.\.?) ?[+-]?\d{1,3} ?° ?[CF]?|[+-]?\d{1,3} ?° ?[CF]'
        .'|(?:USB|Thunderbolt|TB(?= ?[345]\b(?! ?TB)))(?:[ -]?(?:\d(?:\.\d)?|type[ -]?[abc]|super ?speed\+?|gen ?\d(?: ?x ?\d)?|\(|\)|,))*'
        .'(?: ?\(?\d{1,3} ?(?-i:G(?:b/s|bps|bit/s|T/s))\)?)?'
        .'|\d{1,3}(?:[.,]\d)? ?(?-i:G(?:b/s|bps|bit/s|T/s))(?: (?:USB(?: ?\d(?:\.\d)?)?|Thunderbolt|host|link|port|interface|bus))*'
        .'|(?:lot|batch|charge|s/n|p/n|serial|model|art)(?: ?(?:no|nr|code))?[ .:#]*(?!\d+ ?[GTMK]i?B)[\p{L}\p{N}-]*\d[\p{L}\p{N}-]*'
        .'|\d[\d.,]*(?: ?/ ?\d[\d.,]*)? ?IOPS'
        .'|[£€$¥] ?\d+(?:[.,]\d+)?|\d+(?:[.,]\d{2})? ?[£€]';

    /** A second, as a speed is printed per one. */
    public const PER_SECOND = ' ?(?:/|per|pro|par|por|al) ?(?:s(?:ec(?:ond)?|ekunde|econde|egundo|econdo)?)|ps';
}
