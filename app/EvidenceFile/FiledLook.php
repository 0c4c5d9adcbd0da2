<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use InvalidArgumentException;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;

/** What somebody saw on a card, as a result file tells it. */
final readonly class FiledLook
{
    private Seen $seen;

    /** @throws InvalidArgumentException where there is no such answer to the question */
    public function __construct(
        public Question $question,
        public string $answer,
        public string $by = 'nobody named',
        public string $on = 'a day not told',
        public ?string $reader = null,
        public ?string $withdrawn = null,
    ) {
        $this->seen = new Seen(
            $question,
            $question->answer($answer) ?? throw new InvalidArgumentException("“{$answer}” is no answer to “{$question->value}”."),
            $by,
            $on,
            reader: $reader,
        );
    }

    /**
     * @param  list<self>  $looks
     * @return list<Seen> of a question that was answered again the newest answer; trouble in a reader stays
     */
    public static function seen(array $looks): array
    {
        [$newest, $inReader] = [[], []];
        foreach (array_filter($looks, fn (self $look): bool => $look->withdrawn === null) as $look) {
            $look->question->isInReader() ? ($inReader[] = $look->seen) : ($newest[$look->question->value] = $look->seen);
        }

        return [...array_values($newest), ...$inReader];
    }
}
