<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Runs\Run;
use Carbon\CarbonInterface;
use Illuminate\Support\Collection;
use Tally\Quantity\Bytes;
use Tally\Record\ProofRecord;
use Tally\Record\Result;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;

/** How much was written to a card, by tests and by cameras, as far as the books know. */
final readonly class Written
{
    /** @param  list<array{CarbonInterface, int}>  $parts  when, and how many bytes; the earliest first */
    private function __construct(private array $parts) {}

    /** @param  Collection<int, Run>  $runs  of the card */
    public static function on(Card $card, Collection $runs): self
    {
        $parts = [];
        foreach ($runs as $run) {
            $bytes = $run->result === null ? 0 : self::by($run->result);
            if ($bytes > 0) {
                $parts[] = [$run->ended_at ?? $run->created_at, $bytes];
            }
        }
        foreach (FootageAct::query()->where('card_id', $card->id)->where('bytes', '>', 0)->get() as $act) {
            $parts[] = [$act->created_at, $act->bytes];
        }
        usort($parts, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new self($parts);
    }

    public function since(?CarbonInterface $day = null): Bytes
    {
        $sum = 0;
        foreach ($this->parts as [$at, $bytes]) {
            $sum += $day === null || $at->greaterThan($day) ? $bytes : 0;
        }

        return Bytes::of($sum);
    }

    /** When as much was reached, counted from a day; null where not yet. */
    public function reached(Bytes $much, CarbonInterface $from): ?CarbonInterface
    {
        $sum = 0;
        foreach ($this->parts as [$at, $bytes]) {
            $sum += $at->greaterThan($from) ? $bytes : 0;
            if ($sum >= $much->count) {
                return $at;
            }
        }

        return null;
    }

    private static function by(Result $result): int
    {
        return match (true) {
            $result instanceof SpeedRecord => $result->region->count * count($result->writes),
            $result instanceof SustainedRecord => $result->write->bytes->count,
            $result instanceof ProofRecord => $result->write->bytes->count,
            default => 0,
        };
    }
}
