<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Reading\Outliers;

final class OutliersTest extends TestCase
{
    /** @return iterable<string, array{list<float>, list<int>}> values, which lie apart */
    public static function samples(): iterable
    {
        yield 'too few to tell' => [[90.0, 91.0, 10.0], []];
        yield 'alike' => [[90.0, 91.0, 90.5, 91.2, 90.8], []];
        yield 'one far below' => [[90.0, 91.0, 52.0, 91.2, 90.8], [2]];
        yield 'one far above, and first' => [[180.0, 91.0, 90.0, 91.2, 90.8], [0]];
        yield 'all but one the same' => [[90.0, 90.0, 90.0, 90.0, 50.0], [4]];
        yield 'all the same' => [[90.0, 90.0, 90.0, 90.0], []];
        // By hand: median 90, absolute deviations 0 1 1 2 x, their median 1, so apart from x = 3.5 ÷ 0.6745 = 5.189 on.
        yield 'just within' => [[90.0, 89.0, 91.0, 88.0, 95.18], []];
        yield 'just apart' => [[90.0, 89.0, 91.0, 88.0, 95.2], [4]];
        yield 'less than a twentieth is no news' => [[100.0, 100.001, 100.002, 100.001, 104.9], []];
        yield 'more than a twentieth is' => [[100.0, 100.001, 100.002, 100.001, 105.1], [4]];
    }

    /**
     * @param  list<float>  $values
     * @param  list<int>  $apart
     */
    #[DataProvider('samples')]
    public function test_it_tells_which_lie_apart(array $values, array $apart): void
    {
        self::assertSame($apart, Outliers::among($values));
    }
}
