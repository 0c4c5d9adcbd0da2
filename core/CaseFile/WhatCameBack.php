<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Quantity\Bytes;
use Tally\Reading\BlockMap;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;
use Tally\Reading\Nature;
use Tally\Record\Extent;
use Tally\Value\WrongField;

/** What a proof or a screen of a case tells of the medium: what came back wrong, and where it refused. */
final readonly class WhatCameBack
{
    /**
     * @param  Bytes  $shows  what the medium says it has; in a folder, what the file system gave
     * @param  list<BadPart>  $bad
     *
     * @throws WrongField
     */
    public function __construct(
        public Bytes $shows,
        private array $bad = [],
        private ?Refusal $refused = null,
        private string $mode = 'raw',
        public bool $reinserted = false,
    ) {
        if (! in_array($mode, ['raw', 'folder'], true)) {
            throw new WrongField('mode', '“raw” or “folder” would do.');
        }
        $end = 0;
        foreach (self::inOrder($bad) as $i => $part) {
            if ($part->from->count < $end) {
                throw new WrongField("bad[{$i}].1", 'this bad part begins inside the one before it.');
            }
            $end = $part->class === BlockClass::Holds ? $end : $part->from->count + $part->length->count;
        }
    }

    public function extent(): Extent
    {
        return new Extent($this->shows, $this->mode === 'folder');
    }

    public function refusedAt(): ?Bytes
    {
        return $this->refused?->at;
    }

    public function diagnosis(BlockMap $core): Diagnosis
    {
        $of = Diagnosis::of($core, $this->shows, $this->shows);
        $at = $this->refusedAt();
        // What follows an error tells nothing; what is from other addresses does.
        $isFirst = $at !== null && $at->count <= $of->capacity->count && $of->condition !== Condition::Wraps;
        $isFake = $of->nature() === Nature::Fake && ! ($isFirst && $of->condition !== Condition::Aliases);

        return $at === null || $isFake ? $of : new Diagnosis(Condition::Refuses, $at, null);
    }

    /** @param  int  $covered  bytes that were read back: what is behind them, nobody knows */
    public function core(int $covered): BlockMap
    {
        $core = new BlockMap();
        $at = 0;
        foreach (self::inOrder($this->bad) as $part) {
            [$from, $to] = [$part->from->count, min($covered, $part->from->count + $part->length->count)];
            if ($to <= $from || $part->class === BlockClass::Holds) {
                continue;
            }
            if ($from > $at) {
                $core->add(new Patch(BlockClass::Holds, $at, $from - $at));
            }
            $core->add(new Patch($part->class, $from, $to - $from, $part->source($at === 0 && $from > 0)));
            $at = $to;
        }
        if ($at < $covered) {
            $core->add(new Patch(BlockClass::Holds, $at, $covered - $at));
        }

        return $core;
    }

    /**
     * @param  list<BadPart>  $bad
     * @return array<int, BadPart> by their place in the list
     */
    private static function inOrder(array $bad): array
    {
        uasort($bad, fn (BadPart $a, BadPart $b): int => $a->from->count <=> $b->from->count);

        return $bad;
    }
}
