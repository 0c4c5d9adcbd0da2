<?php

declare(strict_types=1);

namespace Tally\Verdict;

use JsonSerializable;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** One thing that speaks for or against a card: data, of which words are made in one place. */
final readonly class Reason implements JsonSerializable
{
    /**
     * @param  VerdictKind|null  $bearing  the verdict it would carry by itself; null for a note, which bears nothing
     * @param  array<string, Bytes|Rate|int|float|string>  $figures  what its words are made of, by name
     * @param  string  $evidence  how it was got: run, chain, region, source
     * @param  bool  $keepsOpen  whether, being open, it keeps the card from being Sound
     */
    private function __construct(
        public ReasonId|string $id,
        public Topic $topic,
        public ?VerdictKind $bearing,
        public array $figures,
        public string $evidence,
        public bool $keepsOpen,
    ) {}

    /** @param  array<string, Bytes|Rate|int|float|string>  $figures */
    public static function of(ReasonId $id, Topic $topic, array $figures, string $evidence): self
    {
        $bearing = $id->bearing();

        return new self(
            $id,
            $topic,
            $bearing,
            $figures,
            evidence: $evidence,
            keepsOpen: $bearing === VerdictKind::Unproven && $id !== ReasonId::ClaimNotJudgedHere,
        );
    }

    /** A finding of the label, the origin or an inspection: it says itself what it says. */
    public static function finding(string $id, Topic $topic, ?VerdictKind $bearing, string $lead, string $sentence, string $source): self
    {
        return new self($id, $topic, $bearing, ['lead' => $lead, 'sentence' => $sentence], evidence: $source, keepsOpen: false);
    }

    public function id(): string
    {
        return is_string($this->id) ? $this->id : $this->id->value;
    }

    /** The fact, to be set in bold. */
    public function lead(): string
    {
        return Words::of($this)[0];
    }

    /** The rest of the sentence. */
    public function rest(): string
    {
        return Words::of($this)[1];
    }

    public function sentence(): string
    {
        return trim(implode(' ', Words::of($this)));
    }

    /**
     * @return array{id: string, topic: string, bearing: string|null, says: string, evidence: string, figures?: array<string,
     * Bytes|Rate|int|float|string>} sizes in bytes, speeds in bytes a second
     */
    public function jsonSerialize(): array
    {
        $figures = is_string($this->id) ? [] : $this->figures;

        return [
            'id' => $this->id(),
            'topic' => $this->topic->value,
            'bearing' => $this->bearing?->value,
            'says' => $this->sentence(),
            'evidence' => $this->evidence,
            // An empty one would be a list to JSON.
            ...$figures === [] ? [] : ['figures' => $figures],
        ];
    }
}
