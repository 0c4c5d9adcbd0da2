<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Record\Fields;
use Tally\Record\NotUsable;
use Tally\Verdict\Topic;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;

/** What an expert says of a case: the word, and of some topics what is said of them at the gravest. */
final readonly class Expectation
{
    /** @param  array<string, VerdictKind>  $topics  by the value of the topic */
    private function __construct(public VerdictKind $verdict, public array $topics) {}

    /** @throws NotUsable */
    public static function read(Fields $case): ?self
    {
        if (! $case->has('expect')) {
            return null;
        }
        $expect = $case->fields('expect');
        Spelling::check($expect, 'verdict', 'topics');
        $topics = [];
        $given = $expect->fields('topics');
        foreach (array_keys($given->values) as $topic) {
            Topic::tryFrom((string) $topic) ??
                throw $given->wrong(
                    (string) $topic,
                    'there is no such topic: '.implode(', ', array_map(fn (Topic $one): string => $one->value, Topic::cases())).'.',
                );
            $topics[(string) $topic] = $given->choice((string) $topic, VerdictKind::class);
        }

        return new self($expect->choice('verdict', VerdictKind::class), $topics);
    }

    /** @return list<string> where a verdict differs from it */
    public function differences(Verdict $verdict): array
    {
        $found = $verdict->kind === $this->verdict ? [] : ["verdict {$verdict->kind->value}, expected {$this->verdict->value}"];
        foreach ($this->topics as $topic => $expected) {
            $is = $verdict->on(Topic::from($topic));
            if ($is !== $expected) {
                $found[] = "{$topic} ".($is->value ?? 'not spoken of').", expected {$expected->value}";
            }
        }

        return $found;
    }
}
