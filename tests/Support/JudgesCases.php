<?php

declare(strict_types=1);

namespace Tests\Support;

use Tally\CaseFile\CaseReader;
use Tally\Evidence\Evidence;
use Tally\Verdict\Judge;
use Tally\Verdict\Reason;
use Tally\Verdict\Topic;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;

/** Judges cards that are told of in the open format of a case, so that a test reads like a note on a bag. */
trait JudgesCases
{
    public const GOOD = ['reader' => 'R2', 'bus' => 'UHS-II', 'link' => 'USB 10 Gb/s'];

    public const ORDINARY = ['reader' => 'R3', 'bus' => 'UHS-I', 'link' => 'USB 5 Gb/s'];

    public const V60 = '128GB SDXC II U3 V60 250MB/s read 130MB/s write';

    public const V30 = '128GB SDXC I U3 V30 95MB/s read 90MB/s write';

    /**
     * @param  list<array<string, mixed>>  $runs
     * @param  array<string, mixed>  $more
     */
    private static function evidence(string $label, array $runs = [], array $more = []): Evidence
    {
        return CaseReader::read(['format' => 'gritty-tally-case', 'version' => 1, 'label' => $label, 'runs' => $runs, ...$more])->evidence;
    }

    /**
     * @param  list<array<string, mixed>>  $runs
     * @param  array<string, mixed>  $more
     */
    private static function judged(string $label, array $runs = [], array $more = []): Verdict
    {
        return Judge::judge(self::evidence($label, $runs, $more));
    }

    /**
     * Three readings close to each figure, in MB/s.
     *
     * @param  array<string, mixed>|null  $chain
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function speed(?float $write, ?float $read, ?array $chain = self::GOOD, array $more = []): array
    {
        $three = fn (?float $rate): array => $rate === null ? [] : [$rate.' MB/s', $rate * 0.999.' MB/s', $rate * 1.001.' MB/s'];

        return ['kind' => 'speed', 'bytes' => '1 GB', 'chain' => $chain, 'write' => $three($write), 'read' => $three($read), ...$more];
    }

    /**
     * @param  list<float>  $write  MB/s
     * @param  array<string, mixed>|null  $chain
     * @return array<string, mixed>
     */
    private static function readings(array $write, ?array $chain = self::GOOD): array
    {
        return [
            'kind' => 'speed',
            'bytes' => '1 GB',
            'chain' => $chain,
            'write' => array_map(fn (float $rate): string => "{$rate} MB/s", $write),
        ];
    }

    /**
     * @param  list<array{string, string}>  $course
     * @param  array<string, mixed>|null  $chain
     * @return array<string, mixed>
     */
    private static function long(array $course, ?array $chain = self::GOOD): array
    {
        return ['kind' => 'sustained', 'chain' => $chain, 'course' => $course];
    }

    /**
     * A whole raw proof of a 128 GB card, if nothing else is said.
     *
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function proof(float $write = 121, float $read = 235, array $more = []): array
    {
        $size = $more['written'] ?? '127.87 GB';

        return [
            'kind' => 'proof',
            'mode' => 'raw',
            'chain' => self::GOOD,
            'shows' => '127.87 GB',
            'written' => '127.87 GB',
            'read_back' => $size,
            'course' => [[$size, "{$write} MB/s"]],
            'bad' => [],
            'read' => "{$read} MB/s",
            ...$more,
        ];
    }

    private static function assertVerdict(VerdictKind $expected, Verdict $verdict): void
    {
        self::assertSame(
            $expected,
            $verdict->kind,
            implode("\n", array_map(fn (Reason $reason): string => $reason->sentence(), $verdict->reasons)),
        );
    }

    private static function reason(Verdict $verdict, string $id): ?Reason
    {
        foreach ([...$verdict->reasons, ...$verdict->notes] as $reason) {
            if ($reason->id() === $id) {
                return $reason;
            }
        }

        return null;
    }

    private static function assertSays(string $id, Verdict $verdict): Reason
    {
        $ids = implode(', ', array_map(fn (Reason $reason): string => $reason->id(), [...$verdict->reasons, ...$verdict->notes]));
        $reason = self::reason($verdict, $id);
        self::assertNotNull($reason, "{$id} is not among: {$ids}");

        return $reason;
    }

    private static function assertOn(Topic $topic, ?VerdictKind $expected, Verdict $verdict): void
    {
        self::assertSame(
            $expected,
            $verdict->on($topic),
            implode("\n", array_map(fn (Reason $reason): string => "{$reason->topic->value}: {$reason->sentence()}", $verdict->reasons)),
        );
    }
}
