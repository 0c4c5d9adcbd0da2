<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Label\Form;

/**
 * What was kept by earlier versions, in the shape of today. Books are migrated with it, and files that were handed out
 * before are still read; what an old shape did not know stays unknown.
 */
final readonly class Before
{
    /**
     * Until chains were kept as measured they were kept as a path: the bus that card and slot were taken to settle on, and
     * the slowest link to the host.
     *
     * @param  array<mixed>  $chain
     * @param  Form  $form  of the card
     * @return array<mixed>
     */
    public static function chain(array $chain, Form $form): array
    {
        if (! array_key_exists('links', $chain)) {
            return $chain;
        }
        $links = is_array($chain['links']) ? array_values(array_filter($chain['links'], is_array(...))) : [];
        $isNamed = ($chain['named'] ?? true) !== false && count($links) === 2;

        return ! $isNamed
            ? ['reader' => null, 'slot' => [], 'host' => null, 'camera' => false]
            : ['reader' => null, 'slot' => self::bus($links[0], $form), 'host' => self::host($links[1]), 'camera' => false];
    }

    /**
     * Until the extent of a proof was kept it was only told whether all of a medium was asked for.
     *
     * @param  array<mixed>  $result
     * @param  array<mixed>  $parameters
     * @return array<mixed>
     */
    public static function proof(array $result, array $parameters): array
    {
        if (! array_key_exists('folder', $result)) {
            $whole = ($result['whole'] ?? false) === true;
            $all = ($parameters['size'] ?? null) === 0;
            $result += ['folder' => ! $whole, 'shown' => $whole || $all ? $result['size'] ?? null : null];
        }
        // An end in errors was called a fake.
        $classes = is_array($result['classes'] ?? null) ? array_filter($result['classes'], is_int(...)) : [];
        $bad = array_sum($classes) - ($classes['holds'] ?? 0);
        if (in_array($result['condition'] ?? null, ['drops', 'corrupts'], true) && 2 * ($classes['unreadable'] ?? 0) > $bad) {
            $result['condition'] = 'refuses';
        }

        return $result;
    }

    /**
     * Until a part of the medium was told by its absence, all of it was nothing; which screen is read again stood in place of whether.
     *
     * @param  array<mixed>  $parameters
     * @return array<mixed>
     */
    public static function parameters(RunKind $kind, array $parameters): array
    {
        if (($parameters['size'] ?? 0) === 0) {
            $parameters['size'] = $kind === RunKind::Speed ? 1 : null;
        }
        if (is_int($parameters['again'] ?? null)) {
            [$parameters['screen'], $parameters['again']] = [$parameters['again'], false];
        }

        return $parameters;
    }

    /**
     * @param  array<mixed>  $link
     * @return list<string>
     */
    private static function bus(array $link, Form $form): array
    {
        $nominal = $link['nominal'] ?? null;
        foreach ($form->buses() as $bus) {
            if (is_numeric($nominal) && self::isAbout((float) $nominal, $bus->ceiling()->nominal->bytesPerSecond)) {
                return [$bus->value];
            }
        }

        return [];
    }

    /**
     * @param  array<mixed>  $link
     * @return array<string, mixed>|null
     */
    private static function host(array $link): ?array
    {
        [$name, $nominal, $high] = [$link['name'] ?? null, $link['nominal'] ?? null, $link['practical'] ?? null];
        if (! is_string($name) || ! is_numeric($nominal)) {
            return null;
        }
        $kind = array_filter(
            HostLink::cases(),
            fn (HostLink $one): bool => self::isAbout((float) $nominal, $one->ceiling()->nominal->bytesPerSecond),
        );
        $known = array_values($kind)[0] ?? null;
        $low = $known?->ceiling()->least()?->bytesPerSecond;

        return [
            'name' => $name,
            'nominal' => (float) $nominal,
            'low' => $low === null || ! is_numeric($high) ? $low : min($low, (float) $high),
            'high' => is_numeric($high) && $high > 0 ? (float) $high : null,
            'source' => is_string($link['source'] ?? null) ? $link['source'] : 'not told',
            'origin' => null,
        ];
    }

    private static function isAbout(float $a, float $b): bool
    {
        return abs($a - $b) <= 1e-6 * $b;
    }
}
