<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Closure;
use Tally\Label\Label;
use Tally\Measured\Attribution;
use Tally\Measured\Chain;
use Tally\Measured\Reached;
use Tally\Measured\Way;
use Tally\Quantity\Rate;
use Tally\Reading\Summary;
use Tally\Reading\Thresholds;
use Tally\Reading\TypedSlip;
use Tally\Reading\WayReading;
use Tally\Record\SpeedRecord;

/** What one speed run says about a card with this label, on the chain it was measured on. */
final readonly class SpeedReading
{
    /** @param  Attribution  $blame  of writing; of reading ask it for that */
    private function __construct(public ?WayReading $write, public ?WayReading $read, public Attribution $blame) {}

    /**
     * @param  bool  $isTyped  whether somebody typed the figures
     * @param  list<Reached>|(Closure(): list<Reached>)  $reached  what the house saw its readers carry
     * @param  array<string, list<Rate>>  $seen  by way, what a device saw the same card do
     */
    public static function of(
        SpeedRecord $record,
        Chain $chain,
        Label $label,
        bool $isTyped = false,
        array|Closure $reached = [],
        Thresholds $by = new Thresholds(),
        array $seen = [],
    ): self {
        $paper = $chain->mostOnPaper($label)->nominal;
        $blame = new Attribution($chain, $label, $reached, $by);
        $way = fn (string $name): bool => in_array($name, $record->disagree, true);
        $writes = $record->writes === [] ? null : Rate::bytesPerSecond(Summary::of($record->writes)->median);
        $slip = fn (?Rate $claim, Way $way): ?Closure => $isTyped
            ? fn (Rate $typed): ?TypedSlip => TypedSlip::of(
                $typed,
                $claim,
                $seen[$way->value] ?? [],
                $way === Way::Read ? $writes : null,
                paper: $paper,
            )
            : null;

        return new self(
            $record->writes === []
                ? null
                : WayReading::of(
                    $record->writes,
                    $label->write,
                    $paper,
                    true,
                    disagrees: $way('write'),
                    slipOf: $slip($label->write, Way::Write),
                    isTheCards: $blame->isTheCards(...),
                    by: $by,
                ),
            $record->reads === []
                ? null
                : WayReading::of(
                    $record->reads,
                    $label->readClaim(),
                    $paper,
                    $record->forgot,
                    disagrees: $way('read'),
                    slipOf: $slip($label->readClaim(), Way::Read),
                    isTheCards: $blame->of(Way::Read)->isTheCards(...),
                    by: $by,
                ),
            $blame,
        );
    }

    public function blame(Way $way): Attribution
    {
        return $this->blame->of($way);
    }

    /** @return array<string, WayReading> by `write` and `read`, what was measured */
    public function ways(): array
    {
        return array_filter(['write' => $this->write, 'read' => $this->read], fn (?WayReading $way): bool => $way !== null);
    }
}
