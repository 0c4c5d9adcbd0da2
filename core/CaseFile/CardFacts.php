<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Buying\Price;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Evidence\Evidence;
use Tally\Evidence\House;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Label;
use Tally\Label\Line\LabelReader;
use Tally\Origin\Origin;
use Tally\Origin\OriginFindings;
use Tally\Origin\Provenance;
use Tally\Origin\Sisters;
use Tally\Value\ByHand;
use Tally\Value\Key;
use Tally\Value\Values;
use Tally\Value\WrongField;

/** What is known of one card, as it is written down. */
#[ByHand]
final readonly class CardFacts
{
    private Label $label;

    /**
     * @param  string  $line  the label as printed
     * @param  list<WrittenRun>  $runs  in any order
     *
     * @throws WrongField
     */
    public function __construct(
        #[Key('label')]
        string $line,
        private WrittenLook $seen = new WrittenLook(),
        private ?string $serial = null,
        private ?Price $price = null,
        private ?Provenance $provenance = null,
        private WrittenHouse $house = new WrittenHouse(),
        private array $runs = [],
    ) {
        $this->label = self::printed($line)->withContactRows($seen->contactRows);
    }

    public function evidence(): Evidence
    {
        $runs = $this->runs();

        return new Evidence(
            $this->label,
            self::only($runs, SpeedEvidence::class),
            self::only($runs, ProofEvidence::class),
            self::only($runs, LongWriteEvidence::class),
            seen: $this->seen->seats(),
            looked: true,
            house: $this->house(),
        );
    }

    /** @throws WrongField */
    private static function printed(string $line): Label
    {
        $reading = LabelReader::read($line);

        return $reading->label() ??
            throw new WrongField(
                'label',
                'the line as printed, with '.
                    ($reading->form === null ? 'the form of the card' : 'its capacity').
                    ' in it, such as “128GB SDXC II U3 V60 250MB/s read”.',
            );
    }

    private function house(): House
    {
        $label = $this->label;
        $origin = new Origin($this->serial, price: $this->price, provenance: $this->provenance);
        $reference =
            $this->price === null
                ? null
                : Reference::from(
                    $this->house->quotes(),
                    $label->form,
                    Tier::of($label),
                    $this->price->currency,
                    capacity: $label->capacity,
                );

        return new House(
            OriginFindings::of($label->capacity, $origin, new Sisters($this->house->sameSerial($this->serial)), $reference),
            $this->house->readers,
        );
    }

    /** @return list<SpeedEvidence|ProofEvidence|LongWriteEvidence> each once, also where a run is listed twice */
    private function runs(): array
    {
        $runs = [];
        foreach ($this->runs as $i => $run) {
            $runs[Values::json($run)] ??= $run->evidence('run '.($i + 1), $this->label->form, $this->house->engine?->instrument());
        }

        return array_values($runs);
    }

    /**
     * @template T of object
     *
     * @param  list<object>  $runs
     * @param  class-string<T>  $kind
     * @return list<T>
     */
    private static function only(array $runs, string $kind): array
    {
        return array_values(array_filter($runs, fn (object $run): bool => $run instanceof $kind));
    }
}
