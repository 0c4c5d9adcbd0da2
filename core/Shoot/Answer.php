<?php

declare(strict_types=1);

namespace Tally\Shoot;

use JsonSerializable;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** Whether a card may record a mode, by one criterion. */
final readonly class Answer implements JsonSerializable
{
    /**
     * @param  Word|null  $word  that says no; null for yes
     * @param  Rate|null  $figure  that the word speaks of: what it falls to, promises, or carries
     * @param  string  $asked  what the word is about: what the camera asks for, the form of the card, the bus that no mark counts over
     * @param  bool  $isUnproven  whether its verdict is Unproven: a yes carries that word
     * @param  bool  $warns  whether the camera records with a warning
     * @param  Span|null  $safe  from the start of a write, how long it keeps up enough; null where it never falls, or falls at once
     * @param  string  $evidence  what it rests on
     */
    public function __construct(
        public FitCriterion $criterion,
        public ?Word $word,
        public ?Rate $figure = null,
        public string $asked = '',
        public bool $isUnproven = false,
        public bool $warns = false,
        public ?Span $safe = null,
        public string $evidence = '',
    ) {}

    public function isYes(): bool
    {
        return $this->word === null;
    }

    /** For a cell: the word that says no, or what is said beside a yes; empty where there is nothing to say. */
    public function words(): string
    {
        // What falls short is never rounded up.
        $isShort = in_array($this->word, [Word::FallsTo, Word::AtLeast], true);
        $figure = $this->figure?->printDown() ?? '';
        $said = match ($this->word) {
            null => '',
            Word::Sham => 'Sham',
            Word::Shaky => 'Shaky',
            Word::DoesNotFit => "slot does not take {$this->asked}",
            Word::BusTooSlow => "slot carries {$figure}",
            Word::AsksFor => "asks for {$this->asked}",
            Word::NoMark => $this->asked === '' ? 'no mark' : "no mark over {$this->asked}",
            Word::PromisesLess => "promises {$figure}",
            Word::NotGuaranteed => 'not guaranteed',
            Word::NotMeasured => 'not measured',
            Word::FallsTo => "falls to {$figure}",
            Word::AtLeast => "at least {$figure}",
        };
        if ($this->word !== null) {
            return $said;
        }

        return match (true) {
            $this->isUnproven => 'Unproven',
            $this->warns => 'with a warning',
            $this->safe !== null => "up to {$this->safe->print()} a take",
            default => '',
        };
    }

    /** @return array<string, mixed> for JSON */
    public function jsonSerialize(): array
    {
        return [
            'criterion' => $this->criterion->value,
            'may' => $this->isYes(),
            'word' => $this->word?->value,
            'words' => $this->words(),
            'figure' => $this->figure?->printDown(),
            'unproven' => $this->isUnproven,
            'warns' => $this->warns,
            'safe_seconds' => $this->safe === null ? null : round($this->safe->seconds, 1),
            'evidence' => $this->evidence,
        ];
    }
}
