<?php

declare(strict_types=1);

namespace Tally\Probe\EarlyCheck;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Device\Addressed;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\TestPattern;

/**
 * Looks now and then at a few places that were written before, so that a fake ends a proof of days in its first hour.
 *
 * Which: the first ones, which a medium that starts over writes over first; powers of two; what was written just now and a
 * while ago, which a medium that drops has lost; the rungs ahead; and some at random.
 */
final class EarlyCheck
{
    /** A stamp and enough of what follows to see what became of it. */
    private const LENGTH = 16384;

    private const RUNGS_AT_ONCE = 12;

    private readonly Randomizer $chance;

    /** @var list<int> */
    private array $rungs = [];

    private int $nextRung = 0;

    private int $nextPower = 1;

    /** @var array<int, true> places that are known to be bad spots */
    private array $known = [];

    public function __construct(private readonly Spots $spots)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($spots->imprint->run));
    }

    /** @throws EndsRun */
    public function placeRungs(): void
    {
        if ($this->spots->device instanceof Addressed) {
            $this->rungs = $this->chance->shuffleArray(Ladder::of($this->spots->imprint->size));
            $inOrder = $this->rungs;
            sort($inOrder);
            $this->spots->write($inOrder, TestPattern::BLOCK);
        }
    }

    /**
     * What is written must have been brought down before.
     *
     * @param  int  $written  bytes from the start
     * @return list<Sample> empty while all of them hold
     *
     * @throws EndsRun
     */
    public function look(int $written): array
    {
        $samples = [];
        foreach ($this->places($written) as $place) {
            $sample = $this->at($place);
            if ($sample->holds() || isset($this->known[$place])) {
                continue;
            }
            $samples[] = $sample;
        }

        return $samples === [] ? [] : [...$samples, ...$this->more($written, $samples)];
    }

    /** These are bad spots and no sign of more. */
    public function getUsedTo(Sample ...$samples): void
    {
        foreach ($samples as $sample) {
            $this->known[$sample->offset()] = true;
        }
    }

    /** @return list<int> */
    private function places(int $written): array
    {
        $block = TestPattern::BLOCK;
        $blocks = intdiv($written, $block);
        $last = max(0, $blocks - 1);
        $places = [0, 1, $last, max(0, $last - 64), max(0, $last - 512), $this->nextPower];
        $this->nextPower = 2 * $this->nextPower < $blocks ? 2 * $this->nextPower : 1;
        for ($i = 0; $i < 4; $i++) {
            $places[] = $this->chance->getInt(0, $last);
        }
        $places = array_map(fn (int $i): int => $i * $block, array_filter($places, fn (int $i): bool => $i < $blocks));
        for ($i = 0; $i < min(self::RUNGS_AT_ONCE, count($this->rungs)); $i++) {
            $places[] = $this->rungs[$this->nextRung++ % count($this->rungs)];
        }

        return array_values(array_unique($places));
    }

    /**
     * A wider look, from which the kind can be told.
     *
     * @param  list<Sample>  $seen
     * @return list<Sample>
     */
    private function more(int $written, array $seen): array
    {
        $already = array_map(fn (Sample $sample): int => $sample->offset(), $seen);
        $blocks = max(1, intdiv($written, TestPattern::BLOCK));
        $places = $this->rungs === [] ? [] : array_slice($this->rungs, 0, 128);
        for ($i = 0; $i < 64; $i++) {
            $places[] = TestPattern::BLOCK * intdiv($i * $blocks, 64);
        }

        return array_map($this->at(...), array_values(array_diff(array_unique($places), $already)));
    }

    private function at(int $place): Sample
    {
        return new Sample($this->spots->look($place, self::LENGTH));
    }
}
