<?php

declare(strict_types=1);

namespace Tests\Core\Value;

use DateTimeImmutable;
use Tally\Label\Bus;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Value\ByHand;
use Tally\Value\In;
use Tally\Value\Inline;
use Tally\Value\Key;
use Tally\Value\WrongField;

/** One field of every kind there is. */
#[ByHand]
final readonly class Sample
{
    /**
     * @param  list<string>  $words
     * @param  array<string, int>  $counts
     * @param  list<array{string, int}>  $pairs
     * @param  list<SampleRow>  $rows
     * @param  list<float>  $speeds
     */
    public function __construct(
        public int $count,
        public ?Bytes $size = null,
        public float $number = 0.5,
        public bool $isIt = false,
        public ?Bus $bus = null,
        public ?DateTimeImmutable $on = null,
        #[Key('called')]
        public string $name = 'nobody',
        public array $words = [],
        public array $counts = [],
        public array $pairs = [],
        public array $rows = [],
        #[In(Rate::class)]
        public array $speeds = [],
        #[Inline]
        public ?SamplePart $among = null,
    ) {
        if ($name === '') {
            throw new WrongField('called', 'a name would do.');
        }
    }

    #[Key('twice')]
    public function twice(): int
    {
        return 2 * min($this->count, 100);
    }
}
