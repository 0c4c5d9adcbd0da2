<?php

declare(strict_types=1);

namespace Tests\Core\Buying;

use PHPUnit\Framework\TestCase;
use Tally\Buying\Price;
use Tally\Buying\Quote;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;

final class ReferenceTest extends TestCase
{
    private static function quote(string $price, int $gb = 100, Form $form = Form::Sd, int $tier = 30): Quote
    {
        return new Quote($form, Tier::tryFrom($tier) ?? self::fail('no such tier'), Bytes::gigabytes($gb), Price::parse($price, 'EUR'));
    }

    private static function reference(Quote ...$quotes): ?Reference
    {
        return Reference::from(
            array_values($quotes),
            Form::Sd,
            Tier::of(new Label(Form::Sd, Bytes::gigabytes(64), marks: [Mark::U3])),
            'EUR',
            capacity: Bytes::gigabytes(100),
        );
    }

    public function test_no_quote_is_no_reference(): void
    {
        self::assertNull(self::reference());
        self::assertNull(self::reference(self::quote('20', form: Form::MicroSd), self::quote('20', tier: 60), self::quote('20 GBP')));
    }

    public function test_the_median_of_the_same_form_tier_and_currency(): void
    {
        self::assertSame(
            '0.300 EUR/GB',
            self::reference(self::quote('30'), self::quote('10'), self::quote('900'), self::quote('1', tier: 60))?->print(),
        );
        self::assertSame(
            '0.200 EUR/GB',
            self::reference(self::quote('30'), self::quote('10'), self::quote('900'), self::quote('1'))?->print(),
        );
    }

    public function test_fewer_than_three_quotes_are_no_market(): void
    {
        self::assertNull(self::reference(self::quote('30'), self::quote('10')));
        self::assertSame(3, self::reference(self::quote('30'), self::quote('10'), self::quote('20'))?->quotes);
    }

    public function test_only_quotes_of_half_to_twice_the_capacity_tell_anything(): void
    {
        $two = [self::quote('30'), self::quote('30')];
        self::assertNotNull(self::reference(...[...$two, self::quote('15', gb: 50)]));
        self::assertNotNull(self::reference(...[...$two, self::quote('60', gb: 200)]));
        self::assertNull(self::reference(...[...$two, self::quote('15', gb: 49)]));
        self::assertNull(self::reference(...[...$two, self::quote('60', gb: 201)]));
        self::assertSame('50 GB to 200 GB', self::reference(...[...$two, self::quote('30')])?->range());
    }

    public function test_marks_of_equal_floors_are_one_tier(): void
    {
        // SD Association speed-class tables: C10 = U1 = V10, U3 = V30.
        $of = fn (Mark ...$marks): int => Tier::of(new Label(Form::Sd, Bytes::gigabytes(64), marks: array_values($marks)))->floor;
        self::assertSame([10, 10, 10], [$of(Mark::C10), $of(Mark::U1), $of(Mark::V10)]);
        self::assertSame([30, 30], [$of(Mark::U3), $of(Mark::C10, Mark::V30)]);
        self::assertSame(0, $of());
        self::assertSame('V30, U3: 30 MB/s and up', Tier::tryFrom(30)?->words());
        self::assertNull(Tier::tryFrom(31));
    }
}
