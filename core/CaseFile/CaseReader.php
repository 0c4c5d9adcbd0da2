<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Buying\NotAPrice;
use Tally\Buying\Price;
use Tally\Buying\Quote;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Evidence\Evidence;
use Tally\Evidence\House;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Line\LabelReader;
use Tally\Measured\Instrument;
use Tally\Measured\Reached;
use Tally\Origin\Code;
use Tally\Origin\Origin;
use Tally\Origin\OriginFindings;
use Tally\Origin\Provenance;
use Tally\Origin\Sisters;
use Tally\Quantity\Rate;
use Tally\Record\Fields;
use Tally\Record\NotUsable;

/**
 * Reads a case: what is known of one card, as figures from anywhere. Its schema is docs/case.schema.json.
 */
final readonly class CaseReader
{
    public const FORMAT = 'gritty-tally-case';

    public const VERSION = 1;

    /** @throws NotUsable with the field, what was given and what would do */
    public static function read(Fields $case): CaseOfCard
    {
        Spelling::check(
            $case,
            'format',
            'version',
            'name',
            'because',
            'label',
            'seen',
            'serial',
            'price',
            'provenance',
            'house',
            'runs',
            'expect',
        );
        if ($case->text('format') !== self::FORMAT) {
            throw $case->wrong('format', '“'.self::FORMAT.'” would do.');
        }
        if ($case->integer('version') !== self::VERSION) {
            throw $case->wrong('version', 'this program reads version '.self::VERSION.'.');
        }
        $label = self::label($case);
        $runs = self::runs($case, $label->form, self::instrument($case));

        return new CaseOfCard(
            $case->text('name', ''),
            $case->text('because', ''),
            new Evidence(
                $label,
                self::only($runs, SpeedEvidence::class),
                self::only($runs, ProofEvidence::class),
                self::only($runs, LongWriteEvidence::class),
                self::seats($case->fields('seen')),
                true,
                self::house($case, $label),
            ),
            Expectation::read($case),
        );
    }

    private static function label(Fields $case): Label
    {
        $line = $case->text('label');
        $reading = LabelReader::read($line);
        $label =
            $reading->label() ??
            throw $case->wrong(
                'label',
                'the line as printed, with '.
                    ($reading->form === null ? 'the form of the card' : 'its capacity').
                    ' in it, such as “128GB SDXC II U3 V60 250MB/s read”.',
            );
        $seen = $case->fields('seen');
        Spelling::check($seen, 'contact_rows', 'seats');
        $rows = $seen->countOrNull('contact_rows');

        return $rows === null
            ? $label
            : (in_array($rows, [1, 2], true)
                ? $label->withContactRows($rows)
                : throw $seen->wrong('contact_rows', '1 or 2 rows of contacts can be seen.'));
    }

    /** @return list<Seen> */
    private static function seats(Fields $seen): array
    {
        if (! $seen->has('seats')) {
            return [];
        }
        $key = match ($seen->text('seats')) {
            'well' => 'found',
            'pressed' => 'pressed',
            default => throw $seen->wrong('seats', '“well”, or “pressed” where it is found only with a finger on it, would do.'),
        };
        $answer = Question::Seating->answer($key);

        return $answer === null ? [] : [new Seen(Question::Seating, $answer, 'whoever wrote the case', 'a day not told')];
    }

    private static function house(Fields $case, Label $label): House
    {
        $house = $case->fields('house');
        Spelling::check($house, 'readers', 'prices', 'cards', 'engine');
        $reached = array_map(
            fn (Fields $reader): Reached => new Reached($reader->text('name'), $reader->rate('reached')),
            $house->rows('readers'),
        );
        $price = $case->has('price') ? self::price($case, 'price') : null;
        $serial = $case->textOrNull('serial');
        $origin = new Origin(
            $serial,
            price: $price,
            provenance: $case->has('provenance') ? $case->choice('provenance', Provenance::class) : null,
        );
        $reference =
            $price === null
                ? null
                : Reference::from(self::quotes($house), $label->form, Tier::of($label), $price->currency, $label->capacity);

        return new House(
            OriginFindings::of($label->capacity, $origin, new Sisters(self::sameSerial($house, $serial)), $reference),
            $reached,
        );
    }

    /** What the bench itself gives on memory; null where nobody said. */
    private static function instrument(Fields $case): ?Instrument
    {
        $house = $case->fields('house');
        if (! $house->has('engine')) {
            return null;
        }
        $engine = $house->fields('engine');
        Spelling::check($engine, 'write', 'read');
        $rate = fn (string $way): ?Rate => $engine->has($way) ? $engine->rate($way) : null;

        return new Instrument($rate('write'), $rate('read'));
    }

    /** @return list<Quote> */
    private static function quotes(Fields $house): array
    {
        return array_map(function (Fields $row): Quote {
            $label =
                LabelReader::read($row->text('label'))->label() ??
                throw $row->wrong('label', 'form and capacity must be in it, such as “128GB SDXC I V30”.');

            return new Quote($label->form, Tier::of($label), $label->capacity, self::price($row, 'price'));
        }, $house->rows('prices'));
    }

    /** @return list<string> */
    private static function sameSerial(Fields $house, ?string $serial): array
    {
        $key = Code::key($serial);
        $same = array_values(
            array_filter($house->rows('cards'), fn (Fields $card): bool => $key !== null && Code::key($card->textOrNull('serial')) === $key,
            ),
        );

        return array_map(fn (Fields $card): string => $card->text('tag', 'another card'), $same);
    }

    private static function price(Fields $fields, string $key): Price
    {
        try {
            return Price::parse($fields->text($key), 'EUR');
        } catch (NotAPrice $fault) {
            throw $fields->wrong($key, $fault->getMessage());
        }
    }

    /** @return list<SpeedEvidence|ProofEvidence|LongWriteEvidence> each once, also where a run is listed twice */
    private static function runs(Fields $case, Form $form, ?Instrument $instrument): array
    {
        $runs = [];
        foreach ($case->rows('runs') as $i => $run) {
            $runs[json_encode($run->values, JSON_THROW_ON_ERROR)] ??= RunReader::read($run, 'run '.($i + 1), $form, $instrument);
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
