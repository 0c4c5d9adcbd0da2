<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\BlockMap;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;
use Tally\Reading\Nature;
use Tally\Record\Extent;
use Tally\Record\Fields;
use Tally\Record\LongWrite;
use Tally\Record\NotUsable;
use Tally\Record\ProofRecord;

/** Reads a proof or a screen of a case: from what came back wrong to what the medium is. */
final readonly class ProofReader
{
    /** @throws NotUsable */
    public static function proof(Fields $run): ProofRecord
    {
        $shown = $run->size('shows');
        [$written, $read] = [$run->size('written'), $run->size('read_back')];
        if ($read->count > $written->count) {
            throw $run->wrong('read_back', 'no more can be read back than was written.');
        }
        if ($written->count > $shown->count) {
            throw $run->wrong('written', 'no more can be written than the medium shows.');
        }
        $core = self::core($run, $read->count);
        $pieces = RunReader::course($run);
        $seconds = $pieces === null ? 0.0 : array_sum(
            array_map(fn (array $piece): float => $piece[0] / $piece[1]->bytesPerSecond, $pieces),
        );
        $writing = $seconds > 0 ? Rate::bytesPerSecond(array_sum(array_column($pieces ?? [], 0)) / $seconds) : null;

        return new ProofRecord(
            1,
            $shown,
            self::diagnosis($run, $core, $shown),
            $core->firstBad(),
            $core->bytesByClass(),
            0,
            $core->patches(),
            $core->grain(),
            self::passage($written, $writing),
            self::passage($read, $run->has('read') ? $run->rate('read') : null),
            true,
            null,
            extent: new Extent($shown, self::isFolder($run)),
            course: $pieces === null ? null : LongWrite::pieces($pieces),
            reinserted: $run->boolean('reinserted'),
        );
    }

    /** @throws NotUsable */
    public static function screen(Fields $run): ProofRecord
    {
        $shown = $run->size('shows');
        $points = $run->count('points');
        if ($points < ScreenPlan::LEAST || $points > ScreenPlan::MOST) {
            throw $run->wrong('points', 'give a whole number from '.ScreenPlan::LEAST.' to '.ScreenPlan::MOST.'.');
        }
        // Behind an error nothing came back.
        $core = self::core($run, min($shown->count, self::refusedAt($run)->count ?? $shown->count));
        $of = self::diagnosis($run, $core, $shown);
        // Where it was not stamped it is not known.
        $diagnosis =
            $core->bad() > 0 || $of->condition === Condition::Refuses
                ? Diagnosis::found($of->condition, $of->capacity, $of->wrap, $of->wrapFrom, false)
                : Diagnosis::found(Condition::Whole, $shown, null, null, false);
        $stamped = $points * TestPattern::BLOCK;
        $classes = array_map(fn (int $bytes): int => (int) round(($stamped * $bytes) / max(1, $shown->count)), $core->bytesByClass());

        return new ProofRecord(
            1,
            $shown,
            $diagnosis,
            $core->firstBad(),
            $classes,
            0,
            $core->patches(),
            0,
            self::passage(Bytes::of($stamped), null),
            self::passage(Bytes::of($stamped), null),
            true,
            null,
            screen: new ScreenPlan($shown, $points),
            extent: new Extent($shown, self::isFolder($run)),
            reinserted: $run->boolean('reinserted'),
        );
    }

    private static function isFolder(Fields $run): bool
    {
        return match ($run->text('mode', 'raw')) {
            'raw' => false,
            'folder' => true,
            default => throw $run->wrong('mode', '“raw” or “folder” would do.'),
        };
    }

    private static function passage(Bytes $bytes, ?Rate $rate): Passage
    {
        return new Passage($bytes, $rate === null || $bytes->isZero() ? Span::seconds(0) : $rate->timeFor($bytes));
    }

    private static function diagnosis(Fields $run, BlockMap $core, Bytes $shown): Diagnosis
    {
        $of = Diagnosis::of($core, $shown, $shown);
        $at = self::refusedAt($run);

        // What follows an error tells nothing; what is from other addresses does.
        $isFirst = $at !== null && $at->count <= $of->capacity->count && $of->condition !== Condition::Wraps;
        $isFake = $of->nature() === Nature::Fake && ! ($isFirst && $of->condition !== Condition::Aliases);

        return $at === null || $isFake ? $of : new Diagnosis(Condition::Refuses, $at, null);
    }

    private static function refusedAt(Fields $run): ?Bytes
    {
        if (! $run->has('refused')) {
            return null;
        }
        $refused = new Fields($run->list('refused'), $run->name('refused'));

        return in_array($refused->text('0'), ['write', 'read'], true)
            ? $refused->size('1')
            : throw $refused->wrong('0', '“write” or “read” would do, and from where on, such as ["write", "60 GB"].');
    }

    /** @throws NotUsable */
    private static function core(Fields $run, int $covered): BlockMap
    {
        $core = new BlockMap();
        $at = 0;
        $patches = array_map(
            fn (Fields $row): array => [$row->choice('0', BlockClass::class), $row->size('1')->count, $row->size('2')->count, $row],
            $run->rows('bad'),
        );
        usort($patches, fn (array $a, array $b): int => $a[1] <=> $b[1]);
        foreach ($patches as [$class, $from, $length, $row]) {
            if ($from < $at) {
                throw $row->wrong('1', 'this bad part begins inside the one before it.');
            }
            $to = min($covered, $from + $length);
            if ($to <= $from || $class === BlockClass::Holds) {
                continue; // behind what was read back, nobody knows
            }
            if ($from > $at) {
                $core->add(new Patch(BlockClass::Holds, $at, $from - $at));
            }
            $core->add(
                new Patch(
                    $class,
                    $from,
                    $to - $from,
                    $class === BlockClass::Echoes ? self::source($row, $from, $at === 0 && $from > 0) : null,
                ),
            );
            $at = $to;
        }
        if ($at < $covered) {
            $core->add(new Patch(BlockClass::Holds, $at, $covered - $at));
        }

        return $core;
    }

    /**
     * Which address an echo repeats: the lap is given, or the address itself.
     *
     * @param  bool  $holdsBefore  whether all before it holds: then it is the first lap that stays
     */
    private static function source(Fields $row, int $from, bool $holdsBefore): int
    {
        $given = $row->has('3') ? $row->size('3')->count : throw $row->wrong('3', 'an echo repeats another address: give it, or the lap.');

        return match (true) {
            $given === 0 => 0,
            $holdsBefore && $given <= $from && $from % $given === 0 => $from - $given,
            default => $from + $given,
        };
    }
}
