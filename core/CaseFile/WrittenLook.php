<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Value\ByHand;
use Tally\Value\WrongField;

/** What was seen on a card, as a case has it. */
#[ByHand]
final readonly class WrittenLook
{
    private ?Seen $seats;

    /** @throws WrongField */
    public function __construct(public ?int $contactRows = null, ?string $seats = null)
    {
        if (! in_array($contactRows, [null, 1, 2], true)) {
            throw new WrongField('contact_rows', '1 or 2 rows of contacts can be seen.');
        }
        $key = match ($seats) {
            null => '',
            'well' => 'found',
            'pressed' => 'pressed',
            default => throw new WrongField('seats', '“well”, or “pressed” where it is found only with a finger on it, would do.'),
        };
        $answer = Question::Seating->answer($key);
        $this->seats = $answer === null ? null : new Seen(Question::Seating, $answer, 'whoever wrote the case', 'a day not told');
    }

    /** @return list<Seen> */
    public function seats(): array
    {
        return $this->seats === null ? [] : [$this->seats];
    }
}
