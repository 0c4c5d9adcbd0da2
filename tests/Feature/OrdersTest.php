<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Gear\SlotPath;
use App\Models\Cards\Card;
use App\Pages\Card\OrderProps;
use App\Pages\Card\Orders;
use App\Pages\Card\SlotProps;
use Tally\Quantity\Bytes;
use Tests\TestCase;

/** What a page offers to order, and how long it says that it will take. */
final class OrdersTest extends TestCase
{
    private function offer(Card $card, int $gigabytes = 1, int $runs = 5): OrderProps
    {
        return Orders::for(
            $card,
            SlotPath::each($card, $this->station()),
            CardEvidence::runs($card),
            Bytes::gigabytes($gigabytes),
            runs: $runs,
        );
    }

    private static function slotOf(OrderProps $order, string $name): SlotProps
    {
        $found = array_values(array_filter($order->slots, fn (SlotProps $slot): bool => $slot->name === $name));
        self::assertCount(1, $found);

        return $found[0];
    }

    public function test_the_best_chain_comes_first_and_what_does_not_fit_last_with_its_reason(): void
    {
        $order = $this->offer($this->card(['bus' => 'uhs-ii', 'family' => 'SDXC', 'capacity' => 128_000_000_000]));
        self::assertSame('Tray 1', $order->slots[0]->name);
        self::assertSame('UHS-II bus → R1, USB 5 Gb/s, Cart tower port 3', $order->slots[0]->chain);
        $last = $order->slots[count($order->slots) - 1];
        self::assertSame(['Tray 5', 'R5 does not take SD with UHS-II', null], [$last->name, $last->refusal, $last->expected]);
    }

    public function test_the_slowest_link_of_each_slot_is_named(): void
    {
        $order = $this->offer($this->card(['bus' => 'uhs-ii']));
        self::assertSame('UHS-I bus, 95 MB/s', self::slotOf($order, 'Tray 3')->pinch);
        self::assertSame('UHS-II bus, 290 MB/s', self::slotOf($order, 'Tray 2')->pinch);
    }

    public function test_before_anything_is_measured_the_label_tells_how_long_it_takes(): void
    {
        // 1 GB at 40 and 90 MB/s is 25 + 11.1 s, five times.
        self::assertSame('3 min 1 s', self::slotOf($this->offer($this->card()), 'Tray 3')->expected);
    }

    public function test_a_label_without_speeds_is_reckoned_by_its_floor_and_the_chain(): void
    {
        // 1 GB at the floor of 10 MB/s and the chain's 95.
        $card = $this->card(['read' => null, 'write' => null]);
        self::assertSame('1 min 51 s', self::slotOf($this->offer($card, 1, 1), 'Tray 3')->expected);
    }

    public function test_once_measured_the_run_tells_it(): void
    {
        $card = $this->card(['stand_in' => 'honest,size=32GB,write=20MB/s,read=50MB/s']);
        $this->conduct($card, 'speed', 'Tray 3');
        // 32 GB at about 20 and 50 MB/s: some 37 minutes instead of the label's 19.
        self::assertMatchesRegularExpression('/^3[678] min/', (string) self::slotOf($this->offer($card, 32, 1), 'Tray 3')->expected);
    }

    public function test_a_suspected_run_tells_nothing(): void
    {
        $card = $this->card();
        $run = $this->conduct($card, 'speed', 'Tray 3');
        $run->forceFill(['result' => [...$run->rawResult() ?? [], 'writes' => [39e6, 80e6], 'reads' => [3e9, 3e9]]])->save();
        self::assertSame('3 min 1 s', self::slotOf($this->offer($card), 'Tray 3')->expected);
    }

    public function test_the_slot_of_the_last_run_is_remembered(): void
    {
        $card = $this->card();
        self::assertNull($this->offer($card)->last);
        $this->conduct($card, 'speed', 'Tray 6');
        self::assertSame($this->slot('Tray 6')->id, $this->offer($card)->last);
    }

    public function test_the_shelf_is_offered_until_a_card_has_its_made_up_medium(): void
    {
        self::assertCount(5, $this->offer($this->card(['stand_in' => null]))->shelf);
        self::assertSame([], $this->offer($this->card(['tag' => 'T-2']))->shelf);
    }

    public function test_a_proof_of_a_part_of_a_stand_in(): void
    {
        $run = $this->conduct($this->card(['stand_in' => 'wraps,size=32GB,true=8GB']), 'proof', 'Tray 3', '2 GB');
        self::assertSame([2_000_000_000, 2_000_000_000], [$run->rawResult()['size'] ?? null, $run->rawResult()['holds'] ?? null]);
    }
}
