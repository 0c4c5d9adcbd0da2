<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Value\Alterable;

/** One thing that does not fit, or that a label does not say. What it weighs in a verdict follows from its severity alone. */
final readonly class Finding
{
    use Alterable;

    /**
     * @param  string  $id  stable, in kebab case, so that a house can refer to the rule
     * @param  string  $reason  a sentence
     * @param  About  $about  what it is a finding about
     */
    public function __construct(
        public string $id,
        public Severity $severity,
        public string $reason,
        public string $source,
        public About $about = About::Label,
    ) {}

    public static function note(string $id, string $reason, string $source): self
    {
        return new self($id, Severity::Note, $reason, $source);
    }

    public static function doubt(string $id, string $reason, string $source): self
    {
        return new self($id, Severity::Doubt, $reason, $source);
    }

    public static function contradiction(string $id, string $reason, string $source): self
    {
        return new self($id, Severity::Contradiction, $reason, $source);
    }

    /** @param  string|null  $who  who saw it, with the day; null where nobody wrote that down */
    public function seenBy(?string $who): self
    {
        return $who === null
            ? $this
            : $this->with(reason: rtrim($this->reason, '.').". Seen by {$who}.");
    }

    public function about(About $about): self
    {
        return $this->with(about: $about);
    }
}
