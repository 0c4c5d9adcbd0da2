<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Ledger\HouseReport;
use App\Models\When;
use Tally\Ledger\IncidentKind;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Record\RunKind;
use Tally\Verdict\VerdictKind;

/** What a report says, in words: the same on the page and on paper. */
final readonly class ReportWords
{
    public function __construct(private HouseReport $report) {}

    public function title(): string
    {
        return "{$this->report->from->format(When::DAY)} to {$this->report->to->format(When::DAY)}";
    }

    /** @return list<array{string, string}> name, value */
    public function cards(): array
    {
        $counts = $this->figures('cards');
        $rows = [];
        foreach (VerdictKind::cases() as $kind) {
            $rows[] = [$kind->value, (string) ($counts[$kind->value] ?? 0)];
        }
        $changed = $this->figures('changed');

        return [
            ...array_reverse($rows),
            ['in service now', (string) array_sum($counts)],
            ['entered, retired in these days', ($changed['entered'] ?? 0).', '.($changed['retired'] ?? 0)],
        ];
    }

    /** @return list<array{string, string}> */
    public function tested(): array
    {
        $rows = [];
        foreach ($this->figures('runs') as $kind => $count) {
            $rows[] = [ucfirst(RunKind::tryFrom($kind)?->label() ?? $kind), (string) $count];
        }
        $tested = $this->figures('tested');

        return [
            ...$rows,
            ['cards that were tested', (string) ($tested['cards'] ?? 0)],
            ...($tested['seconds'] ?? 0) < 60 ? [] : [['time at the reader', Span::seconds($tested['seconds'])->print()]],
        ];
    }

    /** @return list<array{string, string}> */
    public function incidents(): array
    {
        $rows = [];
        foreach ($this->figures('incidents') as $kind => $count) {
            $rows[] = [ucfirst(IncidentKind::tryFrom($kind)?->label() ?? $kind), (string) $count];
        }

        return $rows;
    }

    /** @return list<array{string, string}> */
    public function offloads(): array
    {
        $real = array_values(array_filter($this->report->carried, fn (array $one): bool => ! $one['is_made_up']));
        $madeUp = count($this->report->carried) - count($real);
        $saved = array_sum(array_map(fn (array $one): float => max(0.0, $one['alone'] - $one['took']), $real));

        return [
            ['plans that were carried out', count($real).($madeUp === 0 ? '' : ", and {$madeUp} made up, to practise with")],
            ['cards brought home', (string) array_sum(array_column($real, 'cards'))],
            ['bytes brought home', Bytes::of(array_sum(array_column($real, 'bytes')))->decimal()],
            ['hours saved by plans', self::hours($saved)],
        ];
    }

    /** How the hours are told. */
    public function how(): string
    {
        return 'Saved: against one card at a time, in the same slots, onto the same drives, copied straight and read back as often, '.
            'reckoned by the model that plans are made with; what an offload took is what it really took.';
    }

    public static function hours(float $seconds): string
    {
        return number_format($seconds / 3600, 1).' h';
    }

    /** @return array<string, int> */
    private function figures(string $of): array
    {
        return $this->report->figures[$of] ?? [];
    }
}
