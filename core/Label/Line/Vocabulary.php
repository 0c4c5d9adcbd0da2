<?php

declare(strict_types=1);

namespace Tally\Label\Line;

/**
 * The words on labels, as patterns without delimiters: English, German, French, Spanish and Italian.
 *
 * That these are the words makers print is common practice, no source.
 */
final readonly class Vocabulary
{
    public const READ = 'reading|reads?|rd|R|lesen|lese(?:geschwindigkeit|rate|n)?|lecture|lect\.|lectura|lettura|lett\.';

    /** The words, not the letter, which stands for a figure of its own. */
    public const WRITING = 'writ(?:e|ing)|schreib(?:geschwindigkeit|rate|en)?|[ée]criture|escritura|scrittura';

    public const WRITE = self::WRITING.'|writes|wr|W|[ée]cr\.|escr\.|scritt\.';

    public const BOTH = '(?:'.self::READ.') ?(?:[/&+]|and|und|et|y|e) ?(?:'.self::WRITE.')|L ?/ ?[ES]';

    public const SUSTAINED = 'sustained|continuous|dauerhaft(?:e[nrs]?)?|dauer-?|konstant(?:e[nrs]?)?'
        .'|soutenue?|continue|sostenid[ao]|continu[ao]|sostenut[ao]|garanti(?:e|ert|ta)';

    public const LEAST = 'min(?:imum|imal(?:e[nrs]?)?|im[ao])?\.?';

    /** Between a word and its figure, and in front of either. */
    public const FILLER =
        'sequential|sequenziell(?:e[nrs]?)?|s[ée]quentielle|secuencial|sequenziale|seq\.?|max(?:imum|imal(?:e[nrs]?)?|im[ao])?\.?'.
        '|transfer|speeds?|rates?|geschwindigkeit(?:en)?|vitesses?|d[ée]bit|velocidad(?:es)?|velocit[àa]|performance'.
        '|up to|bis(?: zu)?|jusqu[\'’]?[àa]|hasta|fino a(?:d)?|of|von|de|di|is|at|and|[àa]|mit|avec|con|im|beim|in|en';

    public const AND = 'and|und|et|y|e';

    public const TYPE = '(?:de |di )?(?:type|typ|tipo)';

    public const SPEED_CLASS = 'speed class|geschwindigkeitsklasse|class|klasse|classe|clase';

    /** On every label, and says nothing. */
    public const NOISE = '(?:memory |flash )?cards?|speicherkarten?|(?:carte|tarjeta|scheda)(?: (?:de |di )?(?:m[ée]moire|memoria))?|with';

    /** A second, as a speed is printed per one. */
    public const PER_SECOND = ' ?(?:/|per|pro|par|por|al) ?(?:s(?:ec(?:ond)?|ekunde|econde|egundo|econdo)?)|ps';
}
