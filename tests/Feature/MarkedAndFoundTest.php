<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Offload\OffloadCard;
use App\Models\Offload\WhyRefused;
use App\Offload\Carrying\CardCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Transfer\CardSight;
use Tally\Value\Values;
use Tests\Support\CarriesOffloads;
use Tests\TestCase;

/** What was marked and what lies in the slot are held against each other. */
final class MarkedAndFoundTest extends TestCase
{
    use CarriesOffloads;

    /** @return iterable<string, array{string, string, int, int, WhyRefused|null}> marked, files; found bytes, files; what is said */
    public static function amounts(): iterable
    {
        $less = WhyRefused::Less;
        $more = WhyRefused::More;
        yield 'a sliver of it' => ['20 GB', '400', 100_000_000, 5, $less];
        yield 'as it was written' => ['20 GB', '400', 20_000_000_000, 400, null];
        yield 'within the digits that were written' => ['21 GB', '', 20_500_000_000, 7, null];
        yield 'under what they leave open' => ['21 GB', '', 20_400_000_000, 7, $less];
        yield 'five hundredths at the most, however round it is' => ['20 GB', '', 19_000_000_000, 7, null];
        yield 'and not more' => ['20 GB', '', 18_900_000_000, 7, $less];
        yield 'to the byte' => ['123456789 B', '', 123_456_788, 7, $less];
        yield 'a file fewer' => ['20 GB', '400', 20_000_000_000, 399, $less];
        yield 'a file more' => ['20 GB', '400', 20_000_000_000, 401, $more];
        yield 'more bytes, where the files were counted' => ['9 GB', '400', 20_000_000_000, 400, $more];
        yield 'more than an estimate' => ['9 GB', '', 20_000_000_000, 900, null];
        yield 'nothing' => ['9 GB', '', 0, 0, $less];
    }

    #[DataProvider('amounts')]
    public function test_less_stops_and_so_does_more_than_somebody_counted(
        string $marked,
        string $counted,
        int $bytes,
        int $files,
        ?WhyRefused $said,
    ): void {
        $this->card(['tag' => 'T-1', 'stand_in' => null]);
        $this->post('/cards/T-1/footage', ['footage' => $marked, 'files' => $counted, 'by' => 'Wren'])->assertSessionHasNoErrors();
        $this->card(['tag' => 'T-2']);
        $this->post('/cards/T-2/footage', ['footage' => '1 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $this->post('/offloads', [...self::BEGIN, 'plan' => $this->shownPlan(['cards' => ['T-2']])])->assertSessionHasNoErrors();
        $card = OffloadCard::query()->with(['card', 'offload', 'copies'])->sole();
        $card->setRelation('card', $card->card->newQuery()->where('tag', 'T-1')->sole());
        $seen = Values::read(CardSight::class, [
            'medium' => ['kind' => 'a mounted medium', 'real' => '/media/left', 'numbers' => '8:17', 'bytes' => 32_000_000_000],
            'place' => ['kind' => 'a medium of its own', 'path' => '/media/left', 'numbers' => '8:17', 'devices' => ['sdb']],
            'contents' => ['bytes' => $bytes, 'files' => $files, 'digest' => 'abc'],
        ]);
        $complaint = CardCheck::complaint($card, $seen);
        self::assertSame($said, $complaint?->for, (string) $complaint?->sentence);
        // Whoever was told may say that it is right.
        self::assertNull(CardCheck::complaint($card, $seen, isSaid: true));
        $nothing = Values::read(CardSight::class, ['fault' => 'There is no folder “/media/left”.']);
        self::assertSame(WhyRefused::Nothing, CardCheck::complaint($card, $nothing, isSaid: true)?->for);
    }
}
