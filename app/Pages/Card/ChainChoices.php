<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;

/** The gear to choose from where a figure was not measured by this program. */
final readonly class ChainChoices
{
    public static function of(Card $card): ChainChoicesProps
    {
        $label = $card->label();
        $readers = Reader::query()
            ->with('slots')
            ->orderBy('tag')
            ->get()
            ->filter(fn (Reader $reader): bool => $label->settleIn($reader->buses()) !== null);

        return new ChainChoicesProps(
            array_values(
                $readers
                    ->map(fn (Reader $reader): ChoiceProps => new ChoiceProps($reader->tag, "{$reader->tag} {$reader->name}", []))
                    ->all(),
            ),
            array_values(
                Port::query()
                    ->with('host')
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Port $port): ChoiceProps => new ChoiceProps((string) $port->id, "{$port->host->name}, {$port->name}", []))
                    ->all(),
            ),
            array_values(
                Drive::query()
                    ->orderBy('tag')
                    ->get()
                    ->map(fn (Drive $drive): ChoiceProps => new ChoiceProps((string) $drive->id, "{$drive->tag} {$drive->name}", []))
                    ->all(),
            ),
        );
    }
}
