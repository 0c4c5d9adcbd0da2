<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Random\Randomizer;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Label\Form;

/**
 * What was done to a card on paper: speed runs, long writes, screens and proofs, whole and stopped, over chains that each
 * give something between the low and the high end of practice.
 */
final class PaperRuns
{
    /** Promises that a chain is to show must lie so far under what it gives at the least: the house rule of blame. */
    private const CLEAR = 1.1;

    private bool $isShown = false;

    /** @var array<string, float> what each chain gives, MB/s */
    private array $gives = [];

    private int $day = 1;

    public function __construct(private readonly Randomizer $chance, private readonly CardNature $card) {}

    /** @return array{list<array<string, mixed>>, bool} runs of a case, and whether a slow card is shown to be */
    public function draw(): array
    {
        $runs = [];
        foreach (range(1, $this->chance->getInt(1, 4)) as $ignored) {
            $chain = $this->chain();
            $runs[] = match ($this->chance->getInt(0, 5)) {
                0, 1 => $this->speed($chain),
                2 => $this->long($chain),
                3 => [
                    'kind' => 'screen',
                    ...$this->common($chain),
                    'shows' => "{$this->card->shown} GB",
                    'points' => 64,
                    'bad' => $this->bad($this->card->shown),
                ],
                default => $this->proof($chain),
            };
        }

        return [$this->chance->shuffleArray($runs), $this->isShown];
    }

    /** @return array{reader: string, bus: Bus, link: HostLink, camera: bool}|null null where nobody named it */
    private function chain(): ?array
    {
        if ($this->chance->getInt(0, 6) === 0) {
            return null;
        }
        $isSd = $this->card->bus->contactRows() !== null;
        $buses = match (true) {
            $isSd => [Bus::UhsI, Bus::UhsI, Bus::UhsII, Bus::UhsII, Bus::UhsIDouble],
            in_array(Form::CFexpressA, $this->card->bus->forms(), true) => [Bus::CFexpress2A, Bus::CFexpress4A],
            default => [Bus::CFexpress2B, Bus::CFexpress4B],
        };
        $links = CardOnPaper::links();
        $bus = $buses[$this->chance->getInt(0, count($buses) - 1)];
        $link = $links[$this->chance->getInt(0, count($links) - 1)];
        $isCamera = $this->chance->getInt(0, 9) === 0;

        return [
            'reader' => "{$bus->value} {$link->value}".($isCamera ? ' camera' : ''),
            'bus' => $bus,
            'link' => $link,
            'camera' => $isCamera,
        ];
    }

    /** @param  array{reader: string, bus: Bus, link: HostLink, camera: bool}|null  $chain */
    private function gives(?array $chain): float
    {
        if ($chain === null) {
            return $this->between(30, 3000);
        }
        $settled = $this->card->bus->settleWith([$chain['bus']]) ?? $chain['bus'];
        $of = function (?float $low, float $high): float {
            return $this->between($low ?? $high, max($high, $low ?? 0.0));
        };

        return $this->gives[$chain['reader']] ??= min(
            $of($settled->ceiling()->least()?->megabytes(), $settled->ceiling()->usable()->megabytes()),
            $of($chain['link']->ceiling()->least()?->megabytes(), $chain['link']->ceiling()->usable()->megabytes()),
            $chain['camera'] ? $this->between(65, 250) : INF,
        );
    }

    /**
     * @param  array{reader: string, bus: Bus, link: HostLink, camera: bool}|null  $chain
     * @return array<string, mixed>
     */
    private function common(?array $chain): array
    {
        return [
            'on' => sprintf('2026-10-%02d', min(28, $this->day++)),
            'chain' => $chain === null
                    ? null
                    : [
                        'reader' => $chain['reader'],
                        'bus' => $chain['bus']->value,
                        'link' => $chain['link']->value,
                        'camera' => $chain['camera'],
                    ],
        ];
    }

    /**
     * @param  array{reader: string, bus: Bus, link: HostLink, camera: bool}|null  $chain
     * @return array<string, mixed>
     */
    private function speed(?array $chain): array
    {
        $gives = $this->gives($chain);
        $readings = function (float $rate): array {
            $of = [];
            foreach (range(1, $this->chance->getInt(1, 5)) as $ignored) {
                $of[] = round($rate * $this->between(0.985, 1.0), 3).' MB/s';
            }

            return $of;
        };

        return [
            'kind' => 'speed',
            ...$this->common($chain),
            'bytes' => '1 GB',
            'write' => $readings(min($this->card->burst, $gives)),
            'read' => $readings(min($this->card->read, $gives)),
        ];
    }

    /**
     * @param  array{reader: string, bus: Bus, link: HostLink, camera: bool}|null  $chain
     * @return array<string, mixed>
     */
    private function long(?array $chain): array
    {
        $gb = round(min($this->card->shown, $this->between(4, $this->card->shown)), 2);
        $this->shows($chain, $gb);

        return ['kind' => 'sustained', ...$this->common($chain), 'course' => $this->course($chain, $gb)];
    }

    /**
     * @param  array{reader: string, bus: Bus, link: HostLink, camera: bool}|null  $chain
     * @return array<string, mixed>
     */
    private function proof(?array $chain): array
    {
        $shown = $this->card->shown;
        $part = match ($this->chance->getInt(0, 3)) {
            0 => round($shown * $this->between(0.02, 0.99), 2),
            default => $shown,
        };
        $written = min($part, $this->card->errorsFrom ?? $part);
        $readBack = $this->chance->getInt(0, 4) === 0 ? round($written * $this->between(0, 0.99), 2) : $written;
        $this->shows($chain, $written);
        $isStopped = $readBack < $shown && $this->card->errorsFrom === null;

        return [
            'kind' => 'proof',
            ...$this->common($chain),
            'mode' => 'raw',
            'shows' => "{$shown} GB",
            'written' => "{$written} GB",
            'read_back' => "{$readBack} GB",
            'course' => $this->course($chain, $written),
            'bad' => $this->bad($readBack),
            'read' => round(min($this->card->read, $this->gives($chain)) * 0.99, 3).' MB/s',
            ...$isStopped ? ['stopped' => true] : [],
            ...$this->card->errorsFrom !== null && $this->card->errorsFrom <= $part
                ? ['refused' => ['write', "{$this->card->errorsFrom} GB"]]
                : [],
        ];
    }

    /**
     * @param  array{reader: string, bus: Bus, link: HostLink, camera: bool}|null  $chain
     * @return list<array{string, string}>
     */
    private function course(?array $chain, float $gb): array
    {
        $gives = $this->gives($chain);
        $rate = fn (float $card): string => round(min($card, $gives), 3).' MB/s';
        $cached = min($gb, $this->card->burst > $this->card->sustained ? $this->card->cache : 0.0);
        $rest = round($gb - $cached, 2);

        return [
            ...$cached > 0 ? [["{$cached} GB", $rate($this->card->burst)]] : [],
            ...$rest > 0 ? [["{$rest} GB", $rate($this->card->sustained)]] : [],
        ];
    }

    /** @return list<list<string>> what came back wrong of so much */
    private function bad(float $gb): array
    {
        $bad = array_filter($this->card->bad, fn (array $one): bool => $one[1] < $gb);

        return array_map(
            fn (array $one): array => [
                $one[0],
                "{$one[1]} GB",
                round(min($one[2], $gb - $one[1]), 2).' GB',
                ...$one[3] > 0 ? ["{$one[3]} GB"] : [],
            ],
            array_values($bad),
        );
    }

    /**
     * Whether such a write shows a slow card to be slow, so that everybody must say so: it is long, comes behind the cache,
     * and every link of its chain is sure to give a tenth more than what is promised.
     *
     * @param  array{reader: string, bus: Bus, link: HostLink, camera: bool}|null  $chain
     */
    private function shows(?array $chain, float $gb): void
    {
        if ($chain === null || $chain['camera'] || $this->card->kind !== 'slow' || $this->card->floor <= 0.0) {
            return;
        }
        $settled = $this->card->bus->settleWith([$chain['bus']]);
        $isDefined = $settled !== null && ($this->card->floor < 60 || $settled->contactRows() !== 1);
        $isClear =
            ($settled?->ceiling()->least()?->megabytes() ?? 0) >= self::CLEAR * $this->card->floor &&
            ($chain['link']->ceiling()->least()?->megabytes() ?? 0) >= self::CLEAR * $this->card->floor;
        $cached = $this->card->burst > $this->card->sustained ? $this->card->cache : 0.0;
        // Behind the cache there must be a window of some seconds.
        $isLong = $gb >= min(max(10.0, $this->card->shown / 4 * 1.01), $this->card->shown);
        $isSeen = $isLong && $gb - $cached > 0.006 * $this->card->sustained;
        $this->isShown = $this->isShown || ($isDefined && $isClear && $isSeen);
    }

    private function between(float $from, float $to): float
    {
        return $from + (($to - $from) * $this->chance->getInt(0, 100_000)) / 100_000;
    }
}
