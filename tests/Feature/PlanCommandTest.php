<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** `php artisan tally:plan`. */
final class PlanCommandTest extends TestCase
{
    use TemporaryFolder;

    private const CASE = 'tests/cases/offload/01-lanes.json';

    public function test_a_file_is_planned_and_printed_as_json(): void
    {
        self::assertSame(0, Artisan::call('tally:plan', ['file' => base_path(self::CASE), '--json' => true]));
        $plan = (array) json_decode(Artisan::output(), true);
        self::assertSame(['done', 'free', 'hands', 'bound', 'scheme', 'links', 'cards', 'events'], array_keys($plan));
        self::assertEqualsWithDelta(811.810, $plan['done'], 0.001);
        self::assertSame(['Basalt' => 'Cart p2', 'Heron' => 'Cart p1'], $plan['links']);
        $kinds = array_values(array_unique(array_filter(array_column((array) $plan['events'], 'what'), is_string(...))));
        sort($kinds);
        self::assertSame(['clear', 'copied', 'free', 'in', 'read back'], $kinds);
    }

    public function test_it_says_the_plan_in_words(): void
    {
        $this->command('tally:plan', ['file' => base_path(self::CASE), '--goal' => 'free'])
            ->expectsOutputToContain('cards free soonest: done after')
            ->expectsOutputToContain('Heron into Cart p1')
            ->assertExitCode(0);
    }

    public function test_what_cannot_be_planned_is_said_and_the_rest_only_where_that_was_asked(): void
    {
        $json = (array) json_decode((string) file_get_contents(base_path(self::CASE)), true);
        $json['cards'] = [
            ...(array) $json['cards'],
            ['tag' => 'KL-099', 'bytes' => '9 GB', 'read' => '900 MB/s', 'buses' => ['CFexpress 4.0']],
        ];
        file_put_contents($path = $this->folder().'/plan.json', json_encode($json));
        foreach ([[[], ''], [['--partly'], 'KL-024']] as [$more, $words]) {
            $process = new Process([PHP_BINARY, base_path('artisan'), 'tally:plan', $path, ...$more]);
            self::assertSame(1, $process->run());
            self::assertStringContainsString('KL-099 fits no slot here: it speaks CFexpress 4.0', $process->getErrorOutput());
            self::assertStringContainsString($words, $process->getOutput());
            self::assertSame($more !== [], str_contains($process->getOutput(), 'KL-021'));
        }
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function mistakes(): iterable
    {
        yield 'no file' => [['file' => '/nowhere.json'], 'is no file that can be read'];
        yield 'no plan' => [['file' => 'tests/cases/figures.json'], '“format” is missing'];
        yield 'no goal' => [['--goal' => 'cheap'], '“cheap” is no goal. Give safe, free or hands.'];
        yield 'no time' => [['--seconds' => 'soon'], '“soon” is no time to search'];
        yield 'too long' => [['--seconds' => '3600'], 'up to 60'];
    }

    /** @param  array<string, string>  $with */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence(array $with, string $words): void
    {
        $options = [];
        foreach (array_diff_key($with, ['file' => 1]) as $option => $value) {
            $options[] = "{$option}={$value}";
        }
        $process = new Process([PHP_BINARY, 'artisan', 'tally:plan', $with['file'] ?? self::CASE, ...$options], base_path());
        self::assertSame(2, $process->run());
        self::assertStringContainsString($words, $process->getErrorOutput());
    }
}
