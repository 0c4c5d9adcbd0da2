<?php

declare(strict_types=1);

namespace App\Pages\Around;

use App\Models\Cards\Card;
use App\Models\When;
use Illuminate\Support\Facades\Cache;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;

/**
 * How many cards there are at each step. Every page asks for it, and counting tens of thousands takes longer than a page may; so it is
 * kept, and counted again where a card changed since.
 */
final readonly class LineCounts
{
    /** Seconds for which a count is good that was made while what was begun before may still be written down. */
    private const UNSETTLED = 5;

    /** @param  array<mixed>  $counts  the step, or what is counted → how many */
    private function __construct(private array $counts) {}

    /** By which is known whether a card changed since; to be selected along with another row, as every page asks for it. */
    public const MARK = '(SELECT MAX(changed_at) FROM cards) AS line_changed, UNIX_TIMESTAMP() AS line_now, '.
        'COALESCE((SELECT MAX(changed_at) FROM cards) < NOW() - INTERVAL '.Tray::LATE.' SECOND, 0) AS line_settled';

    /** @param  array<mixed>  $row  with what MARK selects */
    public static function marked(array $row): self
    {
        $today = now()->format(When::ISO_DAY);
        $mark = json_encode([$row['line_changed'] ?? null, $today], JSON_THROW_ON_ERROR);
        $now = is_numeric($row['line_now'] ?? null) ? (int) $row['line_now'] : 0;
        $kept = Cache::get('line');
        if (
            is_array($kept) &&
            $kept['mark'] === $mark &&
            is_array($kept['counts']) &&
            ($kept['settled'] === true || $kept['until'] > $now)
        ) {
            return new self($kept['counts']);
        }
        $counts = self::counted($today);
        $settled = is_numeric($row['line_settled'] ?? null) && (int) $row['line_settled'] === 1;
        Cache::put('line', ['mark' => $mark, 'until' => $now + self::UNSETTLED, 'settled' => $settled, 'counts' => $counts], 86_400);

        return new self($counts);
    }

    /** In service, and waiting at one of these steps. */
    public function at(Step ...$steps): int
    {
        return array_sum(array_map(fn (Step $step): int => $this->of($step->value), $steps));
    }

    public function cards(): int
    {
        return $this->of('cards');
    }

    public function unproven(): int
    {
        return $this->of('unproven');
    }

    /** To be tested again today. */
    public function due(): int
    {
        return $this->of('due');
    }

    /** With footage to bring home. */
    public function laden(): int
    {
        return $this->of('laden');
    }

    private function of(string $what): int
    {
        return is_numeric($count = $this->counts[$what] ?? 0) ? (int) $count : 0;
    }

    /** @return array<string, int> */
    private static function counted(string $today): array
    {
        $struck = array_filter(VerdictKind::cases(), fn (VerdictKind $kind): bool => $kind->isStruckOut());
        $marks = implode(', ', array_fill(0, count($struck), '?'));
        $rows = Card::query()
            ->toBase()
            ->groupBy('next_step')
            ->selectRaw('next_step, count(*) as cards, sum(verdict = ?) as unproven', [VerdictKind::Unproven->value])
            ->selectRaw('sum(retired_on is null) as serving, sum(coalesce(retired_on is null and due_on <= ?, 0)) as due', [$today])
            ->selectRaw(
                "sum(retired_on is null and footage > 0 and coalesce(overruled, verdict) not in ({$marks})) as laden",
                array_column($struck, 'value'),
            )
            ->get();
        $counts = [];
        foreach ($rows as $row) {
            foreach ((array) $row as $what => $count) {
                if (is_numeric($count)) {
                    $key = $what === 'serving' && is_string($row->next_step) ? $row->next_step : (string) $what;
                    $counts[$key] = ($counts[$key] ?? 0) + (int) $count;
                }
            }
        }

        return $counts;
    }
}
