<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use Illuminate\Support\Facades\Queue;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Probe\PassOrder;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Record\SpeedParameters;
use Tally\Value\Values;
use Tests\TestCase;

/** How a speed run is asked for, from the page and in the terminal; and how long it will take. */
final class SpeedPlanTest extends TestCase
{
    /** @return array<string, mixed> */
    private function asked(): array
    {
        return [
            'kind' => 'speed',
            'slot' => $this->slot('Tray 3')->id,
            'size' => '500 MB',
            'runs' => 3,
            'from' => '16 GiB',
            'block' => '4 MiB',
            'order' => 'writes-first',
            'warm_ups' => 1,
            'pause' => '30 s',
            'beside' => '',
        ];
    }

    public function test_every_parameter_reaches_the_run_and_is_told_with_its_figures(): void
    {
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", $this->asked())->assertSessionHasNoErrors();
        $run = $this->carryOut();
        self::assertSame(RunState::Done, $run->state);
        self::assertSame(
            [500_000_000, 3, 17_179_869_184, 4_194_304, 'writes-first', 1],
            array_map(fn (string $part): mixed => Values::write($run->parameters)[$part] ?? null, [
                'size',
                'runs',
                'from',
                'block',
                'order',
                'warm_ups',
            ]),
        );
        self::assertCount(3, $run->speeds()->writes ?? []);
        $this->get("/runs/{$run->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('run.facts', function (mixed $facts): bool {
                $words = (string) json_encode($facts);

                return str_contains($words, '500 MB from 17.18 GB on') &&
                    str_contains($words, 'all writes, then all reads') &&
                    str_contains($words, 'one warm-up not counted') &&
                    str_contains($words, '30 s to cool after each') &&
                    str_contains($words, 'blocks of 4 MiB');
            }),
        );
    }

    public function test_a_plan_comes_back_from_the_books_as_it_was(): void
    {
        $plan = new SpeedPlan(
            Bytes::gigabytes(2),
            4,
            Bytes::of(1_048_576),
            Bytes::of(2_097_152),
            order: PassOrder::WritesFirst,
            warmUps: 2,
            pause: Span::seconds(1.5),
        );
        $run = new Run(['kind' => 'speed', 'parameters' => new SpeedParameters($plan)]);
        self::assertEquals(new SpeedParameters($plan), $run->parameters);
    }

    /** @return iterable<string, array{string, mixed, string}> field, given, what is said */
    public static function mistakes(): iterable
    {
        yield 'from a byte' => ['from', '17 B', 'A region begins at a whole MiB; 17 B was given.'];
        yield 'an odd block' => ['block', '3 MB', 'A block is 1, 2, 4, 8, 16, 32 or 64 MiB; 3 MB was given.'];
        yield 'no order' => ['order', 'backwards', 'The order was “backwards”. Choose one of the list.'];
        yield 'many warm-ups' => ['warm_ups', 9, 'The number of warm-ups was “9”: give a whole number from 0 to 5.'];
        yield 'a long pause' => ['pause', '2 h', 'A pause is an hour at most; 2 h was given.'];
        yield 'no pause' => [
            'pause',
            'a bit',
            '“a bit” is not a length of time. Write minutes and seconds as 4:42, or 14m51s, 33 min, 3.7 s.',
        ];
    }

    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_waits(string $field, mixed $given, string $said): void
    {
        $this->post('/cards/'.$this->card()->tag.'/runs', [...$this->asked(), $field => $given])->assertSessionHasErrors([
            $field => $said,
        ]);
        $this->assertDatabaseCount('runs', 0);
    }

    public function test_in_a_folder_a_region_further_on_cannot_be_promised(): void
    {
        config(['tally.folders' => ['/tmp']]);
        $this->slot('Bay 2')
            ->forceFill(['path' => '/tmp'])
            ->save();
        $this->post('/cards/'.$this->card()->tag.'/runs', [
            ...$this->asked(),
            'slot' => $this->slot('Bay 2')->id,
        ])->assertSessionHasErrors([
            'from' => 'In a folder the file system decides where data lies, so a region that begins further on cannot be promised. '.
            'Leave it empty, or write up to there.',
        ]);
        $this->command('tally:speed', ['path' => '/tmp', '--from' => '1MiB'])
            ->expectsOutputToContain('--from: in a folder the file system decides')
            ->assertExitCode(2);
    }

    public function test_how_long_it_takes_is_told_before_it_starts(): void
    {
        Queue::fake();
        $card = $this->card();
        $ask = fn (array $with): mixed => $this->postJson("/cards/{$card->tag}/runs/forecast", [...$this->asked(), 'from' => '', ...$with])
            ->assertOk()
            ->json('expected');
        // Label 40 write, 90 read: 1 GB takes 25 + 11.1 s, five times 3 min 1 s.
        self::assertSame('3 min 1 s', $ask(['size' => '1 GB', 'runs' => 5, 'warm_ups' => 0, 'pause' => '']));
        self::assertSame('4 min 37 s', $ask(['size' => '1 GB', 'runs' => 5, 'warm_ups' => 1, 'pause' => '6 s']));
        self::assertSame('13 min 20 s', $ask(['kind' => 'sustained', 'size' => '']));
        self::assertSame('25 s', $ask(['kind' => 'sustained', 'size' => '1 GB']));
        self::assertIsString($ask(['kind' => 'files', 'runs' => 3]));
        $this->postJson("/cards/{$card->tag}/runs/forecast", [...$this->asked(), 'size' => 'much'])->assertStatus(422);
        self::assertNull($ask(['slot' => $this->slot('Tray 5')->id]));
        $this->assertDatabaseCount('runs', 0);
    }

    public function test_small_files_are_ordered_and_told(): void
    {
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'files',
            'slot' => $this->slot('Tray 3')->id,
            'files' => 50,
            'runs' => 2,
        ])->assertSessionHasNoErrors();
        $run = $this->carryOut();
        self::assertSame(RunState::Done, $run->state);
        self::assertCount(2, (array) ($run->rawResult()['rounds'] ?? []));
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.kind', 'files')
                ->where('runs.0.note', fn (string $note): bool => preg_match('/Each file costs 4\.\d ms/', $note) === 1),
        );
        $this->get("/runs/{$run->id}")->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->has('run.words', 3));
    }

    public function test_a_long_write_in_the_terminal(): void
    {
        $this->command('tally:speed', [
            'path' => 'stand-in:honest,size=32GB,write=8MB/s,read=88MB/s,cache=8GB,fast=60MB/s',
            '--sustained' => true,
        ])
            ->expectsOutputToContain('It falls at 8')
            ->assertExitCode(0);
        $card = $this->card();
        $this->command('tally:speed', [
            'path' => 'stand-in:honest,size=4GB,write=39MB/s',
            '--sustained' => true,
            '--json' => true,
            '--card' => $card->tag,
        ])
            ->expectsOutputToContain('"cliffs":[]')
            ->assertExitCode(0);
        self::assertSame('sustained', Run::query()->firstOrFail()->kind->value);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function slipsInTheTerminal(): iterable
    {
        yield 'order' => ['--order', 'backwards', '--order was “backwards”: give alternating or writes-first.'];
        yield 'warm-up' => ['--warm-up', 'x', '--warm-up was “x”: give a whole number from 0 to 5.'];
        yield 'block' => ['--block', '3MB', 'A block is 1, 2, 4'];
        yield 'pause' => ['--pause', 'soon', '“soon” is not a length of time'];
    }

    #[DataProvider('slipsInTheTerminal')]
    public function test_a_slip_in_the_terminal_gets_a_sentence(string $option, string $given, string $said): void
    {
        $this->command('tally:speed', ['path' => 'stand-in:honest,size=4GB', $option => $given])
            ->expectsOutputToContain($said)
            ->assertExitCode(2);
    }
}
