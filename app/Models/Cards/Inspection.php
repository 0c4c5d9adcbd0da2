<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\Kit\Reader;
use App\Models\Row;
use App\Models\When;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;
use Tally\Inspection\Answer;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;

/**
 * One answer of an inspection. Answers stay; a mistaken one is withdrawn with a reason.
 *
 * @property int $id
 * @property int $card_id
 * @property Question $question
 * @property string $answer key of the answer
 * @property int|null $reader_id
 * @property string $seen_by
 * @property string|null $withdrawn why it counts no longer
 * @property Carbon $created_at
 * @property-read Card $card
 * @property-read Reader|null $reader
 */
final class Inspection extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = ['question' => Question::class];

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Reader, $this> */
    public function reader(): BelongsTo
    {
        return $this->belongsTo(Reader::class);
    }

    public function said(): Answer
    {
        return $this->question->answer($this->answer) ??
            throw new LogicException("{$this->question->value} has no answer {$this->answer}.");
    }

    public function seen(): Seen
    {
        return new Seen($this->question, $this->said(), $this->seen_by, $this->created_at->format(When::DAY), reader: $this->reader?->tag);
    }
}
