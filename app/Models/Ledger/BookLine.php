<?php

declare(strict_types=1);

namespace App\Models\Ledger;

use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use LogicException;
use Spatie\Activitylog\Models\Activity;

/**
 * A change of the books: only ever added.
 *
 * @property int $id
 * @property string $description what it is about, in a few words
 * @property string|null $event created, updated, deleted
 * @property string|null $subject_type
 * @property Collection<string, mixed>|null $properties `attributes` and `old`
 * @property int|null $card_id
 * @property string|null $who
 * @property Carbon $created_at
 */
final class BookLine extends Activity
{
    protected static function booted(): void
    {
        $never = function (): never {
            throw new LogicException('Lines of the books are only ever added.');
        };
        self::updating($never);
        self::deleting($never);
    }
}
