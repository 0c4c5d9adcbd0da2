<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Value\ByHand;
use Tally\Value\WrongField;
use Tally\Verdict\Topic;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;

/** What an expert says of a case: the word, and of some topics what is said of them at the gravest. */
#[ByHand]
final readonly class Expectation
{
    /**
     * @param  array<string, VerdictKind>  $topics  by the value of the topic
     *
     * @throws WrongField
     */
    public function __construct(public VerdictKind $verdict, public array $topics = [])
    {
        $known = array_map(fn (Topic $one): string => $one->value, Topic::cases());
        foreach (array_diff(array_keys($topics), $known) as $topic) {
            throw new WrongField("topics.{$topic}", 'there is no such topic: '.implode(', ', $known).'.');
        }
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
