<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\HostClock;
use Tally\Device\Place;
use Tally\Transfer\CardSight;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\CopySight;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Value\Values;
use Tests\Support\CardFolder;

/** What is seen at a glance: of a copy that was read back once, and of a card in its slot. */
final class CopySightTest extends TestCase
{
    use CardFolder;

    /** @return array{string, string} a drive with a copy, and the sum of its record */
    private function home(): array
    {
        $drive = $this->folder();
        $files = [];
        for ($i = 1; $i <= 30; $i++) {
            $files["DCIM/clip-{$i}.mov"] = random_bytes(4000 + $i);
        }
        $transfer = Transfer::of(Source::at($this->cardFolder($files)), [$drive => 'Day/QS-014']);
        $how = new Circumstances('QS-014', null, 'bench', null, began: '2026-11-30T20:00:00Z', ended: '2026-11-30T20:01:00Z');
        $transfer->file($transfer->run(new HostClock()), $how);

        return [$drive, hash('xxh128', (string) file_get_contents("{$drive}/Day/QS-014.copy.json"))];
    }

    private function look(string $drive, ?string $record, ?Place $then = null): CopySight
    {
        return CopySight::of($drive, 'Day/QS-014', $record, $then ?? Place::of($drive), clock: new HostClock());
    }

    public function test_a_copy_that_is_as_it_was_is_seen_there_again_and_a_small_one_read_whole(): void
    {
        [$drive, $record] = $this->home();
        $sight = $this->look($drive, $record);
        self::assertSame([true, 30, 30, '30 files read back again'], [$sight->isRight, $sight->files, $sight->read, $sight->note]);
        // As it goes from the bench to the page and back.
        self::assertEquals($sight, Values::read(CopySight::class, json_decode(Values::json($sight), true)));
        // Books of before know neither record nor place.
        self::assertTrue(CopySight::of($drive, 'Day/QS-014', null, null, clock: new HostClock())->isRight);
    }

    /** @return iterable<string, array{string, string}> what was done in a shell, and what is said of it */
    public static function changes(): iterable
    {
        yield 'a file is gone' => ['rm Day/QS-014/DCIM/clip-7.mov', 'DCIM/clip-7.mov is not there any more'];
        yield 'cut short' => ['truncate -s 10 Day/QS-014/DCIM/clip-7.mov', 'DCIM/clip-7.mov has 10 bytes instead of 4007'];
        yield 'one byte' => ['printf x | dd of=Day/QS-014/DCIM/clip-7.mov bs=1 seek=99 conv=notrunc', 'DCIM/clip-7.mov reads otherwise'];
        yield 'a folder in its place' => ['cd Day/QS-014/DCIM && rm clip-7.mov && mkdir clip-7.mov', 'clip-7.mov has'];
        yield 'a link in its place' => ['cd Day/QS-014/DCIM && rm clip-7.mov && ln -s clip-8.mov clip-7.mov', 'clip-7.mov'];
        yield 'all of it is gone' => ['rm -r Day/QS-014', 'is not there any more'];
        yield 'its record is another' => ['echo >> Day/QS-014.copy.json', 'its record is not the one that was written'];
        yield 'its record is gone' => ['rm Day/QS-014.copy.json', 'its record is not there any more'];
    }

    #[DataProvider('changes')]
    public function test_whatever_became_of_it_is_told(string $change, string $said): void
    {
        [$drive, $record] = $this->home();
        exec('cd '.escapeshellarg($drive)." && ({$change}) 2>/dev/null", $lines, $code);
        self::assertSame(0, $code);
        $sight = $this->look($drive, $record);
        self::assertFalse($sight->isRight);
        self::assertStringContainsString($said, $sight->note);
    }

    public function test_what_is_not_at_hand_is_neither_right_nor_wrong(): void
    {
        [$drive, $record] = $this->home();
        self::assertNull($this->look("{$drive}/not there", $record, Place::of($drive))->isRight);
        // Something else is mounted where it was.
        $then = Values::read(Place::class, [
            'kind' => 'a medium of its own', 'path' => $drive, 'numbers' => '8:17', 'devices' => ['sdb'], 'volume' => 'AA',
        ]);
        $empty = $this->folder();
        self::assertNull($this->look($empty, $record, $then)->isRight);
        self::assertSame('another drive is mounted there, or none', $this->look($empty, $record, $then)->note);
        // The same medium, and nothing of it there: that is no absence.
        self::assertFalse($this->look($empty, $record, Place::of($empty))->isRight);
    }

    public function test_a_card_is_known_again_by_what_is_on_it(): void
    {
        $card = $this->cardFolder(['a.mov' => 'a', 'b.mov' => 'bb']);
        symlink('/etc', "{$card}/link");
        $sight = CardSight::of($card);
        self::assertSame([3, 2, ['link'], 1], [
            $sight->contents?->bytes, $sight->contents?->files, $sight->contents?->leftOut, $sight->contents?->leftOutCount,
        ]);
        self::assertEquals($sight, Values::read(CardSight::class, json_decode(Values::json($sight), true)));
        self::assertSame($sight->contents?->digest, CardSight::of("{$card}/.")->contents?->digest);
        touch("{$card}/b.mov", 1_500_000_000);
        self::assertNotSame($sight->contents?->digest, CardSight::of($card)->contents?->digest);
        self::assertNull(CardSight::of("{$card}/not there")->contents);
        self::assertStringContainsString('There is no folder', (string) CardSight::of("{$card}/not there")->fault);
    }
}
