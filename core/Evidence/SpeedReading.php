<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Closure;
use Tally\Label\Label;
use Tally\Measured\Blame;
use Tally\Measured\Chain;
use Tally\Measured\Reached;
use Tally\Reading\Thresholds;
use Tally\Reading\WayReading;
use Tally\Record\SpeedRecord;

/** What one speed run says about a card with this label, on the chain it was measured on. */
final readonly class SpeedReading
{
    private function __construct(public ?WayReading $write, public ?WayReading $read, public Blame $blame) {}

    /**
     * @param  bool  $isTyped  whether somebody typed the figures
     * @param  list<Reached>|(Closure(): list<Reached>)  $reached  what the house saw its readers carry
     */
    public static function of(
        SpeedRecord $record,
        Chain $chain,
        Label $label,
        bool $isTyped = false,
        array|Closure $reached = [],
        Thresholds $by = new Thresholds(),
    ): self {
        $paper = $chain->mostOnPaper($label)->nominal;
        $blame = new Blame($chain, $label, $reached, $by);
        $way = fn (string $name): bool => in_array($name, $record->disagree, true);

        return new self(
            $record->writes === []
                ? null
                : WayReading::of($record->writes, $label->write, $paper, true, $way('write'), $isTyped, $blame->isTheCards(...), $by),
            $record->reads === []
                ? null
                : WayReading::of(
                    $record->reads,
                    $label->readClaim(),
                    $paper,
                    $record->forgot,
                    $way('read'),
                    $isTyped,
                    $blame->isTheCards(...),
                    $by,
                ),
            $blame,
        );
    }

    /** @return array<string, WayReading> by `write` and `read`, what was measured */
    public function ways(): array
    {
        return array_filter(['write' => $this->write, 'read' => $this->read], fn (?WayReading $way): bool => $way !== null);
    }
}
