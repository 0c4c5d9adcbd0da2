<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Gear\SlotPath;
use App\Models\Cards\Card;
use App\Models\Runs\Erasure;
use App\Models\Runs\RunState;
use App\Pages\Card\LiesProps;
use App\Pages\Card\Orders;
use Illuminate\Http\Response;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\Process\Process;
use Tally\Quantity\Bytes;

/** What is erased is what was ordered: asked of the medium itself, not of a path, a link or what lay there before. */
final class RightMediumTest extends StationTestCase
{
    private const SIZE = 24 << 20;

    /** @return array{string, string} loop device, image behind it */
    private function medium(): array
    {
        $image = $this->folder().'/medium';
        file_put_contents($image, str_repeat('footage ', self::SIZE >> 3));
        $loop = self::shell("losetup -f --show {$image}") ?? self::markTestSkipped('This machine gives no loop device.');
        $this->loops[] = $loop;

        return [$loop, $image];
    }

    /** @var list<string> */
    private array $loops = [];

    protected function tearDown(): void
    {
        foreach ($this->loops as $loop) {
            self::shell("losetup -d {$loop}");
        }
        parent::tearDown();
    }

    private static function isUntouched(string $image): bool
    {
        return hash_file('xxh128', $image) === hash('xxh128', str_repeat('footage ', self::SIZE >> 3));
    }

    private function mustBeDone(): void
    {
        self::assertSame(RunState::Done, $this->newest()->state, (string) $this->newest()->message);
    }

    /** What the page of a card shows of a raw slot. */
    private function lies(Card $card, int $slot): LiesProps
    {
        foreach (Orders::for($card, SlotPath::each($card, $this->station()), $card->runs()->get(), Bytes::of(0), runs: 1)->slots as $one) {
            if ($one->id === $slot) {
                return $one->lies ?? self::fail('Nothing is shown.');
            }
        }
        self::fail('There is no such slot.');
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function order(Card $card, int $slot, array $with = []): TestResponse
    {
        return $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'screen',
            'slot' => $slot,
            'tag' => $card->tag,
            'by' => 'Wren',
            ...$with,
        ]);
    }

    public function test_a_link_that_was_repointed_leads_a_worker_that_lives_long_to_the_new_device(): void
    {
        [[$old, $oldImage], [$new]] = [$this->medium(), $this->medium()];
        $link = $this->folder().'/slot';
        symlink($old, $link);
        $slot = $this->bay('Raw 1', $link, 'raw');
        $worker = new Process([PHP_BINARY, base_path('artisan'), 'tally:station'], base_path(), timeout: 120);
        $worker->start();
        try {
            $first = $this->smallCard(self::SIZE);
            $this->order($first, $slot)->assertSessionHasNoErrors();
            self::until(fn (): bool => ! $this->newest()->state->isGoing(), 'the first screen is over');
            $this->mustBeDone();
            file_put_contents($oldImage, str_repeat('footage ', self::SIZE >> 3));
            unlink($link);
            symlink($new, $link);
            $second = $this->smallCard(self::SIZE, 'T-2');
            $this->order($second, $slot)->assertSessionHasNoErrors();
            self::until(fn (): bool => ! $this->newest()->state->isGoing(), 'the second screen is over');
            $this->mustBeDone();
            self::assertTrue(self::isUntouched($oldImage), 'The device that the link had led to before was written to.');
        } finally {
            $worker->stop(5);
        }
        // The ledger names the device itself, and not only the link.
        $lines = Erasure::query()->orderBy('id')->get();
        self::assertSame([$old, $new], $lines->map(fn (Erasure $line): ?string => $line->medium?->real)->all());
        $this->get('/erased')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'lines.0.device',
                fn (string $device): bool => str_starts_with($device, "{$link}, which led to {$new} ("),
            ),
        );
    }

    public function test_a_link_that_is_repointed_between_order_and_run_is_not_followed(): void
    {
        [[$old, $oldImage], [$new, $newImage]] = [$this->medium(), $this->medium()];
        $link = $this->folder().'/slot';
        symlink($old, $link);
        $this->order($this->smallCard(self::SIZE), $this->bay('Raw 1', $link, 'raw'))->assertSessionHasNoErrors();
        unlink($link);
        symlink($new, $link);
        $this->worker()->wait();
        $run = $this->newest();
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString('Raw 1 does not hold what it held when the run was ordered', (string) $run->message);
        self::assertTrue(self::isUntouched($oldImage) && self::isUntouched($newImage));
        self::assertSame(0, Erasure::query()->count());
    }

    public function test_one_slot_takes_one_order_at_a_time_by_whatever_path_it_is_reached(): void
    {
        [$loop, $image] = $this->medium();
        $link = $this->folder().'/other';
        symlink($loop, $link);
        $slot = $this->bay('Raw 1', $loop, 'raw');
        $this->order($this->smallCard(self::SIZE, 'QS-015'), $slot)->assertSessionHasNoErrors();
        $other = $this->smallCard(self::SIZE, 'QS-115');
        $says = ' has an order already: run 1 of QS-015 is waiting there. Let it end, or stop it, and put the next card in then.';
        $this->order($other, $slot)->assertSessionHasErrors(['slot' => "Raw 1{$says}"]);
        $this->order($other, $this->bay('Bay 2', $link, 'raw'))->assertSessionHasErrors(['slot' => "Bay 2{$says}"]);
    }

    public function test_a_card_is_known_again_by_the_stamps_of_its_proof(): void
    {
        [$loop] = $this->medium();
        $slot = $this->bay('Raw 1', $loop, 'raw');
        $first = $this->smallCard(self::SIZE, 'QS-015');
        $this->order($first, $slot, ['kind' => 'proof'])->assertSessionHasNoErrors();
        $this->worker()->wait();
        $this->mustBeDone();
        // The card stays in by mistake; the order is for the next one.
        $second = $this->smallCard(self::SIZE, 'QS-115');
        $this->order($second, $slot)->assertSessionHasNoErrors();
        $this->worker()->wait();
        $run = $this->newest();
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString(
            'by the stamps of a proof on it the medium in it is QS-015 (run 1), and the order is for QS-115',
            (string) $run->message,
        );
        self::assertSame(1, Erasure::query()->count());
        // The same card again is no other, and one that was tagged anew can be told.
        $this->order($first, $slot)->assertSessionHasNoErrors();
        $this->worker()->wait();
        $this->mustBeDone();
        $this->order($second, $slot, ['why' => 'tagged anew after the label came off'])->assertSessionHasNoErrors();
        $this->worker()->wait();
        $this->mustBeDone();
    }

    public function test_an_order_from_a_page_that_showed_another_medium_is_refused(): void
    {
        [[$loop, $image], [$other]] = [$this->medium(), $this->medium()];
        $link = $this->folder().'/slot';
        symlink($loop, $link);
        $slot = $this->bay('Raw 1', $link, 'raw');
        $card = $this->smallCard(self::SIZE);
        $shown = $this->lies($card, $slot);
        self::assertStringContainsString($loop, $shown->device);
        unlink($link);
        symlink($other, $link);
        $this->order($card, $slot, ['shown' => $shown->token])->assertSessionHasErrors([
            'slot' => 'Raw 1 holds another medium than this page showed. Look at what it shows now, and order again.',
        ]);
    }

    public function test_the_page_shows_what_would_be_erased(): void
    {
        $image = $this->folder().'/medium';
        self::shell("truncate -s 32M {$image} && mkfs.ext4 -q -L FOOTAGE -m 0 {$image}") ?? self::markTestSkipped('No mkfs.ext4 here.');
        $point = $this->folder();
        self::shell("mount -o loop {$image} {$point} && mkdir {$point}/DCIM && echo take > {$point}/DCIM/A001.mov; umount {$point}") ??
            self::markTestSkipped('This machine mounts nothing.');
        $before = hash_file('xxh128', $image);
        $slot = $this->bay('Raw 1', $image, 'raw');
        app(\App\Stations\SlotLook::class)->all($this->station());
        $card = $this->smallCard(32 << 20);
        self::assertContains('The whole medium, 33.55 MB: ext4 “FOOTAGE”, 1 file: DCIM/A001.mov', $this->lies($card, $slot)->on);
        self::assertSame($before, hash_file('xxh128', $image), 'Looking changed the medium.');
    }
}
