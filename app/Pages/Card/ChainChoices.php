<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;

/**
 * The gear to choose from where a figure was not measured by this program.
 *
 * @phpstan-type ChainChoicesProps array{ // Over which gear a figure from elsewhere may have been measured.
 *     readers: list<ChoiceProps>, // those that take the card
 *     ports: list<ChoiceProps>, // of all hosts
 *     drives: list<ChoiceProps>, //
 * }
 */
final readonly class ChainChoices
{
    /** @return ChainChoicesProps */
    public static function of(Card $card): array
    {
        $label = $card->label();
        $readers = Reader::query()
            ->with('slots')
            ->orderBy('tag')
            ->get()
            ->filter(fn (Reader $reader): bool => $label->settleIn($reader->buses()) !== null);

        return [
            'readers' => array_values(
                $readers
                    ->map(fn (Reader $reader): ChoiceProps => new ChoiceProps($reader->tag, "{$reader->tag} {$reader->name}", []))
                    ->all(),
            ),
            'ports' => array_values(
                Port::query()
                    ->with('host')
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Port $port): ChoiceProps => new ChoiceProps((string) $port->id, "{$port->host->name}, {$port->name}", []))
                    ->all(),
            ),
            'drives' => array_values(
                Drive::query()
                    ->orderBy('tag')
                    ->get()
                    ->map(fn (Drive $drive): ChoiceProps => new ChoiceProps((string) $drive->id, "{$drive->tag} {$drive->name}", []))
                    ->all(),
            ),
        ];
    }
}
