<?php

declare(strict_types=1);

namespace Tally\Transfer;

use InvalidArgumentException;

/** Where cards go on a drive: `{shoot}/{day}/{card}`, each word put in its place. */
final readonly class FolderPattern
{
    public const HOUSE = '{shoot}/{day}/{card}';

    private const WORDS = '/\{(shoot|day|card)\}/';

    /** Names that some file system does not take, or takes for something else. Source: exFAT specification, table 35; NTFS. */
    private const REFUSED = '#[\x00-\x1F"*/:<>?\\\\|]#';

    private function __construct(private string $pattern) {}

    /** @throws InvalidArgumentException with a sentence */
    public static function of(string $pattern): self
    {
        $pattern = trim($pattern);
        $rest = (string) preg_replace(self::WORDS, 'x', $pattern);
        if (str_contains($rest, '{') || str_contains($rest, '}')) {
            throw new InvalidArgumentException("“{$pattern}” has a word that is not known. {shoot}, {day} and {card} would do.");
        }
        if (! str_contains($pattern, '{card}')) {
            throw new InvalidArgumentException("“{$pattern}” is the same for every card, and their files would meet. Add {card}.");
        }
        try {
            FilePath::of($rest);
        } catch (InvalidArgumentException) {
            throw new InvalidArgumentException(
                "“{$pattern}” leads out of the drive’s folder, or has an empty part. ".self::HOUSE.' would do.',
            );
        }
        foreach (explode('/', $rest) as $part) {
            if (preg_match(self::REFUSED, $part) === 1) {
                throw new InvalidArgumentException(
                    "“{$pattern}” has a letter that some drives cannot hold. Letters, figures, - and _ would do.",
                );
            }
        }

        return new self($pattern);
    }

    /**
     * @param  string  $shoot  what is being shot
     * @param  string  $day  as it is to stand there
     * @param  string  $card  its tag
     *
     * @throws InvalidArgumentException with a sentence
     */
    public function folder(string $shoot, string $day, string $card): string
    {
        foreach (['shoot' => $shoot, 'day' => $day, 'card' => $card] as $word => $value) {
            $isUsed = str_contains($this->pattern, "{{$word}}");
            if ($isUsed && (trim($value, " .\t") === '' || preg_match(self::REFUSED, $value) === 1)) {
                throw new InvalidArgumentException(
                    trim($value) === ''
                        ? "The {$word} is empty, and the folder’s name has it. Write one, or take {{$word}} out."
                        : "“{$value}” cannot be part of a folder’s name. Leave out / : * ? \" < > | and \\.",
                );
            }
        }
        $folder = strtr($this->pattern, ['{shoot}' => trim($shoot), '{day}' => trim($day), '{card}' => trim($card)]);

        return FilePath::of($folder)->path;
    }
}
