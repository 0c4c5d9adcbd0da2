<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\HouseKnowledge;
use App\Intake\LineFields;
use App\Models\Cards\Card;
use App\Models\Kit\Reader;
use App\Shoot\ReasonProps;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Evidence\Evidence;
use Tally\Evidence\House;
use Tally\Label\Finding;
use Tally\Label\Label;
use Tally\Label\Line\LabelReading;
use Tally\Label\Mark;
use Tally\Verdict\VerdictKind;

/**
 * Reads a label while it is typed, for the form and its margin.
 *
 * @phpstan-type FieldProps array{ // A field of the label form, and the part of the line it was read from.
 *     field: string,
 *     value: string,
 *     from: string,
 * }
 * @phpstan-type LineProps array{ // What was read from a label's line, as the fields of the form take it.
 *     line: string, // as it was given
 *     fields: list<FieldProps>, // only those that were printed
 *     marks: list<string>,
 *     marksFrom: string|null, // the parts the marks were read from
 *     notes: list<string>,
 *     unknown: list<string>, // parts that were not understood
 * }
 * @phpstan-type PreviewProps array{ // What a label means, while it is being typed.
 *     line: LineProps|null, // what was read from the line, where one was given
 *     promises: list<PromiseProps>,
 *     silent: list<string>, // what the label does not say
 *     findings: list<ReasonProps>,
 *     market: string, // what such cards cost
 *     reach: list<ReachProps>, // the best reader first
 * }
 * @phpstan-type PromiseProps array{ // What a mark promises, in the units of cards and of cameras.
 *     mark: string,
 *     megabytes: string,
 *     megabits: string,
 * }
 * @phpstan-type ReachProps array{ // What a card could at best do in a reader of the house.
 *     reader: string,
 *     rate: string|null, // null when it does not work there
 *     why: string,
 * }
 */
final readonly class LabelPreview
{
    /** @return LineProps */
    private static function line(string $line, LabelReading $reading): array
    {
        $fields = [];
        foreach (LineFields::of($reading) as $field => $value) {
            $fields[] = ['field' => $field, 'value' => $value, 'from' => $reading->from[$field] ?? ''];
        }

        return [
            'line' => $line,
            'fields' => $fields,
            'marks' => array_map(fn (Mark $mark): string => $mark->value, $reading->marks),
            'marksFrom' => $reading->from['marks'] ?? null,
            'notes' => $reading->notes,
            'unknown' => $reading->unknown,
        ];
    }

    /**
     * What is typed with what its line says filled in.
     *
     * @param  array<array-key, mixed>  $typed
     * @return array<array-key, mixed>
     */
    public static function filled(array $typed, LabelReading $reading): array
    {
        $marks = array_map(fn (Mark $mark): string => $mark->value, $reading->marks);

        return [...$typed, ...LineFields::of($reading), ...$marks === [] ? [] : ['marks' => $marks]];
    }

    /**
     * @param  Card  $card  perhaps not entered yet
     * @param  array{string, LabelReading}|null  $line  as it was typed, and what was read from it
     * @return PreviewProps
     */
    public static function of(Card $card, ?array $line): array
    {
        $label = $card->label();
        $house = new HouseKnowledge();
        $findings = (new Evidence($label, house: new House($house->findings($card))))->findings();

        return [
            'line' => $line === null ? null : self::line(...$line),
            'promises' => array_map(
                fn (Mark $mark): array => [
                    'mark' => $mark->value,
                    'megabytes' => $mark->floor()->print(),
                    'megabits' => round($mark->floor()->megabits()).' Mb/s',
                ],
                $label->marks,
            ),
            'silent' => self::silent($label),
            'findings' => array_map(self::finding(...), $findings),
            'market' => self::market($label, $house),
            'reach' => self::reach($label),
        ];
    }

    /** @return list<string> */
    private static function silent(Label $label): array
    {
        return array_values(
            array_filter(
                [
                    $label->marks === [] ? 'no speed mark: no writing speed is promised' : null,
                    $label->bus === null ? 'no bus: how it is connected is open' : null,
                    $label->readClaim() === null ? 'no read speed' : null,
                    $label->write === null ? 'no write speed' : null,
                    $label->sustained === null && $label->topMark() === null ? 'nothing about sustained writing' : null,
                ],
                fn (?string $words): bool => $words !== null,
            ),
        );
    }

    /** What a gigabyte of such a card costs, as far as the house knows. */
    private static function market(Label $label, HouseKnowledge $house): string
    {
        $kind = "{$label->form->label()}, ".Tier::of($label)->words();
        $reference = $house->reference($label, config()->string('tally.currency'));

        return $reference === null
            ? "no reference for {$kind} of about this size: it takes ".Reference::LEAST_QUOTES.' quotes'
            : "{$reference->print()}, median of {$reference->quotes} quotes for {$kind}, {$reference->range()}";
    }

    private static function finding(Finding $finding): ReasonProps
    {
        return new ReasonProps(
            VerdictKind::borneBy($finding->severity),
            ucfirst($finding->severity->value).'.',
            $finding->reason,
            $finding->source,
        );
    }

    /** @return list<ReachProps> */
    private static function reach(Label $label): array
    {
        $claim = $label->readClaim();
        $rows = [];
        foreach (
            Reader::query()
                ->with(['slots', 'cable'])
                ->orderBy('tag')
                ->get() as $reader
        ) {
            $bus = $label->settleIn($reader->buses());
            if ($bus === null) {
                $rows[] = [0.0, [
                    'reader' => "{$reader->tag} {$reader->name}",
                    'rate' => null,
                    'why' => 'does not take it',
                ]];

                continue;
            }
            $limits = [
                [$bus->label().' bus', $bus->ceiling()->usable()],
                [$reader->toHost()->name, $reader->toHost()->ceiling->usable()],
            ];
            if ($claim !== null) {
                array_unshift($limits, ['the card’s own claim', $claim]);
            }
            usort($limits, fn (array $a, array $b): int => $a[1]->bytesPerSecond <=> $b[1]->bytesPerSecond);
            [$why, $rate] = $limits[0];
            $rows[] = [$rate->bytesPerSecond, [
                'reader' => "{$reader->tag} {$reader->name}",
                'rate' => $rate->print(),
                'why' => "ends at {$why}",
            ]];
        }
        usort($rows, fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_map(fn (array $row): array => $row[1], $rows);
    }
}
