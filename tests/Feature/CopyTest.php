<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Kit\Port;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tally\Record\RunSource;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** Timed copies: by this program from a real folder to a real folder, and by stopwatch. */
final class CopyTest extends TestCase
{
    use TemporaryFolder;

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function clock(Card $card, array $with = []): TestResponse
    {
        return $this->post("/cards/{$card->tag}/stopwatch", [
            'size' => '14.7 GB',
            'files' => '600',
            'copied' => '',
            'verified' => '',
            'previews' => '4:21',
            'reader' => 'R2',
            'port' => (string) Port::query()->where('name', 'port 2')->firstOrFail()->id,
            'drive' => (string) Drive::query()->where('tag', 'D1')->firstOrFail()->id,
            'on' => '2026-11-20',
            'by' => 'Wren',
            'note' => 'dive 3',
            ...$with,
        ]);
    }

    public function test_times_by_stopwatch_are_kept_with_what_done_meant(): void
    {
        // 14.7 GB in 1:10 is 209 MB/s: more than a UHS-I card could give.
        $card = $this->card(['bus' => 'uhs-ii']);
        $this->clock($card, ['copied' => '1:10.4'])->assertSessionHasNoErrors();
        self::assertSame(RunSource::Stopwatch, Run::query()->firstOrFail()->source);
        $this->get("/measure/{$card->tag}/copy")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('copies.0.laps', 2)
                ->where('copies.0.laps.1.words', 'previews built')
                ->where('copies.0.laps.1.rate', '56.32 MB/s') // 14.7 GB and 600 files in 4:21: handbook § 4, common practice
                ->where('copies.0.bound', 'bound by the previews: a faster card saves nothing here')
                ->where(
                    'copies.0.what',
                    fn (string $what): bool => str_contains($what, '14.7 GB in 600 files') &&
                        str_contains($what, 'R2') &&
                        str_contains($what, '→ D1'),
                )
                ->where(
                    'copies.0.notes',
                    fn (mixed $notes): bool => str_contains(
                        (string) json_encode($notes, JSON_UNESCAPED_UNICODE),
                        '“Done” meant previews built',
                    ),
                ),
        );
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.kind', 'copy')
                ->where(
                    'runs.0.note',
                    fn (string $note): bool => str_contains($note, 'by stopwatch') && str_contains($note, '4 min 21 s until '.
                        'previews built'),
                ),
        );
    }

    public function test_laps_are_reckoned_while_they_are_taken(): void
    {
        $card = $this->card();
        $check = fn (array $with): TestResponse => $this->postJson("/cards/{$card->tag}/stopwatch/check", [
            'size' => '20 GB',
            'copied' => '3:49',
            ...$with,
        ]);
        $check([])->assertJsonPath('laps.0.rate', '87.34 MB/s')->assertJsonPath('trouble', null);
        $check(['copied' => 'soon'])->assertJsonPath(
            'trouble',
            fn (string $words): bool => str_contains($words, '“soon” is not a length of time'),
        );
        $check(['size' => ''])->assertJsonPath('laps', []);
        $check(['copied' => '', 'previews' => ''])->assertJsonPath('laps', []);
        $this->assertDatabaseCount('runs', 0);
    }

    public function test_a_card_that_was_seen_to_read_faster_was_not_the_limit(): void
    {
        $card = $this->card();
        $this->conduct($card, 'speed', 'Tray 3');
        $this->clock($card, [
            'size' => '2 GB',
            'copied' => '1:00',
            'previews' => '',
            'reader' => 'R3',
            'port' => (string) Port::query()->where('name', 'port 3')->firstOrFail()->id,
        ]);
        $this->get("/measure/{$card->tag}/copy")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'copies.0.bound',
                'the card was not the limit: a faster one saves nothing here',
            ),
        );
    }

    public function test_a_time_that_its_chain_cannot_carry_is_struck_wherever_it_is_shown(): void
    {
        $card = $this->card();
        $this->clock($card, [
            'size' => '40 GB',
            'copied' => '1:40',
            'previews' => '',
            'reader' => 'R3',
            'port' => (string) Port::query()->where('name', 'port 3')->firstOrFail()->id,
        ]);
        $this->get("/measure/{$card->tag}/copy")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('copies.0.struck', true)
                ->where(
                    'copies.0.bound',
                    fn (string $words): bool => str_starts_with($words, 'not trusted: faster than its slowest link can carry'),
                ),
        );
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.struck', true)
                ->where('runs.0.note', fn (string $note): bool => str_contains($note, 'faster than card or chain can carry on paper')),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'no size' => [['size' => ''], 'size', 'How much was copied is empty. Write the size of the folder, such as 20 GB.'];
        yield 'no lap' => [
            ['previews' => ''],
            'copied',
            'No lap was taken. Stop the watch at least once: copied, verified or previews built.',
        ];
        yield 'a lap of nothing' => [
            ['copied' => '0:00'],
            'copied',
            'The lap “copied” was taken after 0 s. Give the time from the start, such as 3:49.',
        ];
        yield 'no time' => [
            ['copied' => 'soon'],
            'copied',
            '“soon” is not a length of time. Write minutes and seconds as 4:42, or 14m51s, 33 min, 3.7 s.',
        ];
        yield 'half a file' => [['files' => '1.5'], 'files', 'The number of files was “1.5”: give a whole number, or leave it empty.'];
        yield 'an unknown drive' => [['drive' => '9999'], 'drive', 'This drive is not in the kit. Choose one of the list, or none.'];
        yield 'nobody' => [['by' => ''], 'by', 'Nobody is named. Write who held the watch.'];
        yield 'an unknown port' => [['port' => '9999'], 'port', 'This port is not in the kit. Choose one of the list.'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_is_kept(array $change, string $field, string $words): void
    {
        $this->clock($this->card(), $change)->assertSessionHasErrors([$field => $words]);
        $this->assertDatabaseCount('runs', 0);
    }

    /** @return array{string, string} a card and a drive below an allowed folder */
    private function folders(): array
    {
        $folder = $this->folder();
        mkdir("{$folder}/card/DCIM", 0777, true);
        mkdir("{$folder}/drive");
        foreach (range(1, 10) as $i) {
            file_put_contents("{$folder}/card/DCIM/{$i}.raw", random_bytes($i < 8 ? 9_000 : 900_000));
        }
        $this->slot('Bay 2')
            ->forceFill(['path' => "{$folder}/card"])
            ->save();
        config(['tally.folders' => [$folder]]);

        return ["{$folder}/card", "{$folder}/drive"];
    }

    /** @param  array<string, mixed>  $with */
    private function order(Card $card, array $with): Run
    {
        $this->post("/cards/{$card->tag}/copies", [
            'slot' => $this->slot('Bay 2')->id,
            'source' => '',
            'verify' => true,
            ...$with,
        ])->assertSessionHasNoErrors();

        return $this->carryOut();
    }

    public function test_a_real_folder_is_copied_timed_and_read_back(): void
    {
        [$source, $drive] = $this->folders();
        $card = $this->card();
        $run = $this->order($card, ['into' => $drive, 'source' => 'DCIM', 'drive' => Drive::query()->where('tag', 'D2')->value('id')]);
        self::assertSame(RunState::Done, $run->state);
        self::assertSame(10, $run->rawResult()['files'] ?? null);
        self::assertSame(7 * 9_000 + 3 * 900_000, $run->rawResult()['bytes'] ?? null);
        self::assertFileEquals("{$source}/DCIM/9.raw", "{$drive}/DCIM/9.raw");
        $overhead = $run->rawResult()['overhead'] ?? null;
        $this->get("/measure/{$card->tag}/copy")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('copies.0.laps', 2)
                ->where('copies.0.laps.1.words', 'copied and verified')
                ->where(
                    'copies.0.notes',
                    // What a file cost is told where these times show it; on a machine that stalls they may not.
                    fn (mixed $notes): bool => is_string($overhead)
                        ? str_contains((string) json_encode($notes, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), ucfirst($overhead))
                        : ! str_contains((string) json_encode($notes), 'on top of'),
                )
                ->where(
                    'copies.0.notes',
                    fn (mixed $notes): bool => str_contains(
                        (string) json_encode($notes, JSON_UNESCAPED_SLASHES),
                        "The copy lies in {$drive}/DCIM",
                    ),
                ),
        );
        // A second time nothing is overwritten.
        $again = $this->order($card, ['into' => $drive, 'source' => 'DCIM']);
        self::assertSame(RunState::Failed, $again->state);
        self::assertStringContainsString('is there already, and nothing is ever overwritten', (string) $again->message);
    }

    public function test_folders_outside_and_stand_ins_are_refused_with_a_sentence(): void
    {
        [, $drive] = $this->folders();
        $card = $this->card();
        $post = fn (array $with): TestResponse => $this->post("/cards/{$card->tag}/copies", [
            'slot' => $this->slot('Bay 2')->id,
            'into' => $drive,
            'verify' => true,
            ...$with,
        ]);
        $post(['into' => '/etc'])->assertSessionHasErrors([
            'into' => '“/etc” is outside the folders this station may write to: allowed are folders below '.dirname($drive).
                '. If it is meant, whoever looks after the station changes this line of .env: TALLY_FOLDERS='.dirname($drive).':/etc',
        ]);
        $post(['source' => '/etc'])->assertSessionHasErrors('source');
        $post(['source' => '../../../etc'])->assertSessionHasErrors('source');
        $post(['into' => ''])->assertSessionHasErrors([
            'into' => 'Where to copy to is empty. Give a folder on the drive, such as /media/drive.',
        ]);
        $post(['slot' => $this->slot('Tray 3')->id])->assertSessionHasErrors([
            'slot' => 'Tray 3 holds a stand-in, which keeps no files: choose a slot with a folder, or take the time by stopwatch.',
        ]);
        $post(['slot' => 9999])->assertSessionHasErrors('slot');
        $this->assertDatabaseCount('runs', 0);
    }

    public function test_in_the_terminal(): void
    {
        [$source, $drive] = $this->folders();
        $this->command('tally:copy', ['source' => $source, 'into' => $drive, '--verify' => true])
            ->expectsOutputToContain('copied and verified')
            ->assertExitCode(0);
        $this->command('tally:copy', ['source' => $source, 'into' => $drive])
            ->expectsOutputToContain('nothing is ever overwritten')
            ->assertExitCode(2);
        $this->command('tally:copy', ['source' => "{$source}/nowhere", 'into' => $drive])
            ->expectsOutputToContain('There is no folder')
            ->assertExitCode(2);
    }
}
