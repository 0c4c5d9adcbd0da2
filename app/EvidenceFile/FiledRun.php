<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Models\Runs\RunState;
use DateTimeImmutable;
use DateTimeZone;
use Tally\Evidence\Source;
use Tally\Measured\Chain;
use Tally\Record\Fields;
use Tally\Record\NotUsable;
use Tally\Record\Parameters;
use Tally\Record\Result;
use Tally\Record\RunKind;
use Tally\Record\RunSource;

/** A run as a result file tells it. */
final readonly class FiledRun
{
    /**
     * @param  array<mixed>  $raw  the result to the letter, as it was hashed
     * @param  array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>}|null  $traces
     */
    public function __construct(
        public int $id,
        public RunKind $kind,
        public RunState $state,
        public RunSource $source,
        public Chain $chain,
        public Parameters $parameters,
        public Result $result,
        public array $raw,
        public string $hash,
        public ?string $beside,
        public ?array $traces,
        public ?DateTimeImmutable $startedAt,
        public ?DateTimeImmutable $endedAt,
    ) {}

    public function asSource(): Source
    {
        return new Source("run {$this->id}", $this->endedAt?->format('Y-m-d\TH:i:s\Z'), $this->source, $this->source === RunSource::Typed);
    }

    /**
     * @return array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>}|null
     *
     * @throws NotUsable
     */
    public static function traces(Fields $run): ?array
    {
        if (! $run->has('traces')) {
            return null;
        }
        $traces = $run->fields('traces');
        $points = fn (string $way): array => array_map(
            fn (Fields $point): array => [$point->number('0'), $point->number('1')],
            $traces->rows($way),
        );

        return ['write' => $points('write'), 'read' => $points('read'), ...$traces->has('heat') ? ['heat' => $points('heat')] : []];
    }

    /** @throws NotUsable */
    public static function moment(Fields $run, string $key): ?DateTimeImmutable
    {
        $given = $run->textOrNull($key);
        $moment = $given === null ? null : DateTimeImmutable::createFromFormat('!Y-m-d\TH:i:s\Z', $given, new DateTimeZone('UTC'));

        return $moment === false ? throw $run->wrong($key, 'write the moment as 2026-11-01T18:30:00Z.') : $moment;
    }
}
