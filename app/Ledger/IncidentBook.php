<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Evidence\DueBook;
use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Kit\Reader;
use App\Models\Ledger\CardIncident;
use Closure;
use DateTimeInterface;
use Tally\Ledger\IncidentKind;
use Tally\Ledger\SuspectReader;

/** What happened, in one line: `QS-014 stuck in R3 at the pier`. */
final readonly class IncidentBook
{
    /** @throws NotAnIncident with a sentence that says what the line lacks */
    public static function log(string $line, string $by, DateTimeInterface $at): CardIncident
    {
        $words = preg_split('/[\s,;:.]+/u', mb_strtoupper($line), -1, PREG_SPLIT_NO_EMPTY);
        $words = $words === false ? [] : $words;
        $card = Card::query()->whereIn('tag', $words)->get()->sortBy(self::place($words))->first();
        $kind = IncidentKind::inLine($line);
        if ($card === null) {
            throw NotAnIncident::withoutCard($line);
        }
        if ($kind === null) {
            throw NotAnIncident::withoutKind($line);
        }
        $incident = CardIncident::query()->create([
            'card_id' => $card->id,
            'reader_id' => Reader::query()->whereIn('tag', $words)->get()->sortBy(self::place($words))->first()?->id,
            'camera_id' => Camera::query()->whereIn('tag', $words)->get()->sortBy(self::place($words))->first()?->id,
            'kind' => $kind,
            'note' => $line,
            'recorded_by' => $by,
            'happened_at' => $at,
            'created_at' => now(),
        ]);
        DueBook::refresh($card);

        return $incident->setRelation('card', $card);
    }

    /**
     * Of several that are named, the first in the line is meant.
     *
     * @param  list<string>  $words
     * @return Closure(Card|Reader|Camera): int
     */
    private static function place(array $words): Closure
    {
        return fn (Card|Reader|Camera $one): int => (int) array_search($one->tag, $words, true);
    }

    /** @return array<string, list<string>> reader that is suspected → cards it is named with */
    public static function suspects(): array
    {
        $named = [];
        $rows = CardIncident::query()->with(['card', 'reader'])->whereNotNull('reader_id')->orderBy('id')->get();
        foreach ($rows as $one) {
            if ($one->reader !== null) {
                $named[$one->reader->tag][] = [$one->card->tag, $one->kind];
            }
        }

        return array_filter(array_map(SuspectReader::among(...), $named), fn (array $cards): bool => $cards !== []);
    }
}
