<?php

declare(strict_types=1);

namespace App\Kit;

use Tally\Chain\CeilingOrigin;
use Tally\Chain\HostLink;
use Tally\Chain\Link;
use Tally\Label\Bus;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/**
 * Fields that several kinds of gear have.
 *
 * @phpstan-type CeilingProps array{ // The most a link carries, and where each figure comes from. MB/s.
 *     link: string,
 *     nominal: float,
 *     least: float|null, // what it gives in practice at the least
 *     usable: float, // what is planned with
 *     origin: string, // where that figure comes from
 *     source: string,
 *     isOwn: bool, // whether the house measured it itself
 * }
 */
final readonly class Field
{
    public static function text(string $name, string $label, string $value, string $placeholder = ''): KitFieldProps
    {
        return new KitFieldProps($name, $label, 'text', [$value], placeholder: $placeholder);
    }

    public static function figures(string $name, string $label, string $value, string $placeholder = ''): KitFieldProps
    {
        return new KitFieldProps($name, $label, 'figures', [$value], placeholder: $placeholder);
    }

    public static function rate(string $name, string $label, ?Rate $rate, string $placeholder = ''): KitFieldProps
    {
        return self::figures($name, $label, $rate?->exact() ?? '', $placeholder);
    }

    public static function size(string $name, string $label, ?Bytes $size, string $placeholder = ''): KitFieldProps
    {
        return self::figures($name, $label, $size?->exact() ?? '', $placeholder);
    }

    public static function link(string $name, string $label, ?HostLink $link): KitFieldProps
    {
        $choices = array_map(fn (HostLink $one): ChoiceProps => new ChoiceProps($one->value, $one->label(), []), HostLink::cases());

        return new KitFieldProps($name, $label, 'choice', [$link->value ?? HostLink::UsbGen1->value], choices: $choices);
    }

    /** @param  list<Bus>  $buses */
    public static function buses(string $label, array $buses): KitFieldProps
    {
        $choices = array_map(function (Bus $bus): ChoiceProps {
            $form = $bus->forms()[0]->label();

            return new ChoiceProps(
                $bus->value,
                $bus->contactRows() !== null || str_starts_with($bus->label(), $form) ? $bus->label() : "{$bus->label()} ({$form})",
                [],
            );
        }, Bus::cases());

        return new KitFieldProps('buses', $label, 'several', array_map(fn (Bus $bus): string => $bus->value, $buses), choices: $choices);
    }

    /** @return list<KitFieldProps> the house's own figure, and how it was got */
    public static function measured(?Rate $rate, ?string $how): array
    {
        return [
            self::rate('measured', 'Own measurement', $rate, 'none'),
            self::text('measured_how', 'Measured how', $how ?? '', 'which card, how many runs, which day'),
        ];
    }

    /** @return CeilingProps */
    public static function ceiling(Link $link, string $name = ''): array
    {
        $ceiling = $link->ceiling;

        return [
            'link' => $name === '' ? $link->name : $name,
            'nominal' => $ceiling->nominal->megabytes(),
            'least' => $ceiling->least()?->megabytes(),
            'usable' => $ceiling->usable()->megabytes(),
            'origin' => $ceiling->origin->words(),
            'source' => $ceiling->source,
            'isOwn' => $ceiling->origin === CeilingOrigin::Measurement,
        ];
    }
}
