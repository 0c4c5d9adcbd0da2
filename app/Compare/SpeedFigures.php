<?php

declare(strict_types=1);

namespace App\Compare;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use Tally\Record\RunKind;

/** Every speed run that counts, of every card: voided ones, and those measured beside another, are left out. */
final readonly class SpeedFigures
{
    /** The newest so many are looked at. */
    private const MOST = 3000;

    /**
     * @param  list<SpeedFigure>  $speeds
     * @param  array<string, array<string, array<string, true>>>  $chains  by reader, chain and kind of slot
     */
    private function __construct(public array $speeds, public int $leftOut, private array $chains) {}

    public static function all(): self
    {
        $runs = Run::query()
            ->with(['card', 'reader.slots', 'cable', 'port.host', 'void'])
            ->where('kind', RunKind::Speed)
            ->whereNotNull('result')
            ->latest('id')
            ->limit(self::MOST)
            ->get()
            ->reverse();
        $counting = $runs->filter(fn (Run $run): bool => $run->counts());

        $speeds = array_values($counting->map(SpeedFigure::of(...))->all());
        $chains = [];
        foreach ($speeds as $speed) {
            $chains[$speed->run->reader->tag ?? ''][$speed->chain() ?? ''][$speed->run->card->form->connector()] = true;
        }

        return new self($speeds, $runs->count() - $counting->count(), $chains);
    }

    /** The reader; with the kind of its slot, cable and port where it was used with several, since each is another link. */
    public function column(SpeedFigure $speed): ?string
    {
        $reader = $speed->run->reader?->tag;
        $chain = $speed->chain();
        if ($reader === null || $chain === null) {
            return null;
        }
        $seats = $this->chains[$reader] ?? [];
        $slots = array_unique(array_merge(...array_map(array_keys(...), array_values($seats))));

        return (count($seats) > 1 ? $chain : $reader).(count($slots) > 1 ? " {$speed->run->card->form->connector()}" : '');
    }

    /** @return array<string, Card> by tag */
    public function cards(): array
    {
        $cards = [];
        foreach ($this->speeds as $speed) {
            $cards[$speed->run->card->tag] = $speed->run->card;
        }

        return $cards;
    }

    /** @return array<string, SpeedFigure> one for each column */
    public function seats(): array
    {
        $seats = [];
        foreach ($this->speeds as $speed) {
            $column = $this->column($speed);
            if ($column !== null) {
                $seats[$column] ??= $speed;
            }
        }

        return $seats;
    }

    /**
     * Together by card and chain, so that several runs of one thing count as one.
     *
     * @return array<string, non-empty-list<SpeedFigure>>
     */
    public function byCardAndReader(): array
    {
        $cells = [];
        foreach ($this->speeds as $speed) {
            $column = $this->column($speed);
            if ($column !== null) {
                $cells["{$speed->run->card->tag}\n{$column}"][] = $speed;
            }
        }

        return $cells;
    }
}
