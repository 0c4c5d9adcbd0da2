<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Chain\Link;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\Source;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Form;
use Tally\Measured\Chain;
use Tally\Measured\Instrument;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Record\Fields;
use Tally\Record\LongWrite;
use Tally\Record\NotUsable;
use Tally\Record\RunSource;
use Tally\Record\SpeedRecord;

/** Reads one run of a case. */
final readonly class RunReader
{
    private const KINDS = ['speed', 'sustained', 'proof', 'screen'];

    /**
     * @param  Form  $form  of the card
     * @param  Instrument|null  $instrument  the bench that measured
     *
     * @throws NotUsable
     */
    public static function read(
        Fields $run,
        string $name,
        Form $form,
        ?Instrument $instrument = null,
    ): SpeedEvidence|ProofEvidence|LongWriteEvidence {
        Spelling::check(
            $run,
            'kind',
            'on',
            'chain',
            'source',
            'bytes',
            'from',
            'write',
            'read',
            'course',
            'mode',
            'shows',
            'written',
            'read_back',
            'bad',
            'refused',
            'stopped',
            'reinserted',
            'points',
            'name',
        );
        $typed = match ($run->text('source', 'device')) {
            'device' => false,
            'typed' => true,
            default => throw $run->wrong('source', '“device” or “typed” would do.'),
        };
        $source = new Source($run->text('name', $name), self::day($run), $typed ? RunSource::Typed : RunSource::Device, $typed);
        // What somebody typed was measured by another instrument.
        $chain = self::chain($run, $form)->at($typed ? null : $instrument);

        return match ($run->text('kind')) {
            'speed' => new SpeedEvidence(
                $source,
                $chain,
                new SpeedRecord(
                    $run->has('bytes') ? $run->size('bytes') : Bytes::of(0),
                    self::readings($run, 'write'),
                    self::readings($run, 'read'),
                    true,
                    0,
                    $run->has('from') ? $run->size('from') : Bytes::of(0),
                ),
            ),
            'sustained' => self::sustained($run, $source, $chain),
            'proof' => new ProofEvidence($source, $chain, ProofReader::proof($run)),
            'screen' => new ProofEvidence($source, $chain, ProofReader::screen($run)),
            default => throw $run->wrong('kind', 'one of these would do: '.implode(', ', self::KINDS).'.'),
        };
    }

    /**
     * Pieces of steady speed, in order.
     *
     * @return non-empty-list<array{float, Rate}>|null bytes, speed; null where there is none
     *
     * @throws NotUsable
     */
    public static function course(Fields $run): ?array
    {
        $pieces = [];
        foreach ($run->rows('course') as $piece) {
            $bytes = $piece->size('0');
            if ($bytes->isZero()) {
                throw $piece->wrong('0', 'a piece of a course has some length, such as 50 GB.');
            }
            $pieces[] = [(float) $bytes->count, $piece->rate('1')];
        }

        return $pieces === [] ? null : $pieces;
    }

    private static function sustained(Fields $run, Source $source, Chain $chain): LongWriteEvidence
    {
        $pieces =
            self::course($run) ??
            throw $run->wrong('course', 'pieces of steady speed, each a size and a speed, such as [["64 GB", "38 MB/s"]], would do.');

        return new LongWriteEvidence($source, $chain, LongWrite::pieces($pieces), Bytes::of((int) array_sum(array_column($pieces, 0))));
    }

    /** @return list<float> bytes a second */
    private static function readings(Fields $run, string $way): array
    {
        $rates = [];
        foreach ($run->list($way) as $i => $one) {
            $rates[] = Fields::readRate($one, "{$run->name($way)}[{$i}]")->bytesPerSecond;
        }

        return $rates;
    }

    private static function chain(Fields $run, Form $form): Chain
    {
        if (! $run->has('chain')) {
            return Chain::unnamed();
        }
        $chain = $run->fields('chain');
        Spelling::check($chain, 'reader', 'bus', 'link', 'camera');
        $bus = ! $chain->has('bus')
            ? null
            : GearNames::bus($chain->text('bus'), $form) ??
                throw $chain->wrong(
                    'bus',
                    'what the slot of the reader speaks, such as UHS-I, UHS-I double rate, UHS-II, SD Express, CFexpress 2.0 B, '.
                    'XQD, CFast 2.0 or UDMA 7, would do.',
                );
        $link = ! $chain->has('link')
            ? null
            : GearNames::link($chain->text('link')) ??
                throw $chain->wrong(
                    'link',
                    'the link to the host, such as USB 480 Mb/s, USB 5 Gb/s, USB 10 Gb/s, USB 20 Gb/s, USB4 40 Gb/s, Thunderbolt 40 '.
                    'Gb/s or SATA 6 Gb/s, would do.',
                );

        return new Chain(
            $chain->textOrNull('reader'),
            $bus === null ? [] : [$bus],
            $link === null ? null : new Link($link->label(), $link->ceiling()),
            $chain->boolean('camera'),
        );
    }

    private static function day(Fields $run): ?string
    {
        $on = $run->textOrNull('on');

        return $on === null || preg_match('/^\d{4}-\d{2}-\d{2}(?:[T ]\d{2}:\d{2}(?::\d{2})?(?:\.\d+)?Z?)?$/', $on) === 1
            ? $on
            : throw $run->wrong('on', 'write the day as 2026-11-01, or the moment as 2026-11-01T18:30:00Z.');
    }
}
