<?php

declare(strict_types=1);

namespace App\Pages;

use App\Evidence\CardEvidence;
use App\Models\HeatReading;
use App\Models\Run;
use App\Models\RunVoid;
use App\Props\Run\FactProps;
use App\Props\Run\HeatProps;
use App\Props\Run\RunSheetProps;
use App\Props\Run\VoidProps;
use App\Props\Run\WayProps;
use App\Runs\ChainRecord;
use App\Runs\FilesRecord;
use App\Runs\ProofRecord;
use App\Runs\RunKind;
use App\Runs\RunSource;
use App\Runs\SpeedParameters;
use App\Runs\SpeedRecord;
use Illuminate\Support\Fluent;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Temperature;
use Tally\Reading\Copy\SmallFilesReading;
use Tally\Reading\Suspicion;
use Tally\Reading\WayReading;

/** One run, whole: how each figure was got, on which chain, over which region, and what became of it. */
final readonly class RunPage
{
    /** @return array<string, mixed> */
    public static function of(Run $run, ?string $person): array
    {
        $run->loadMissing(['card', 'slot', 'reader', 'cable', 'port.host', 'drive', 'voids', 'void', 'heat']);
        $runs = CardEvidence::runs($run->card);

        return ['card' => LabelWords::card($run->card), 'run' => self::sheet($run), 'person' => $person ?? '', 'margin' => Margin::at('measure', $run->card, $runs)];
    }

    private static function sheet(Run $run): RunSheetProps
    {
        $hasResult = $run->result !== null;

        return new RunSheetProps(
            $run->id, ucfirst($run->name()).", {$run->kind->label()}".($run->source === RunSource::Device ? '' : ", {$run->source->words()}"),
            $run->card->tag, $run->counts(), $run->state->isGoing(), self::facts($run),
            $run->kind === RunKind::Speed && $hasResult ? self::ways($run) : [],
            $hasResult ? self::words($run) : [],
            $run->kind === RunKind::Sustained ? CoursePage::ofRun($run->card, $run) : null,
            $run->kind === RunKind::Copy && $hasResult ? CopyPage::copy($run->card, $run, CardEvidence::runs($run->card)) : null,
            array_values($run->heat->map(fn (HeatReading $one): HeatProps => new HeatProps(
                $one->at === null ? 'no place noted' : 'after '.Bytes::of($one->at)->decimal(), Temperature::celsius($one->celsius)->both(), $one->recorded_by,
            ))->all()),
            array_values($run->voids->filter(fn (RunVoid $void): bool => $void->withdrawn !== null)->map(self::void(...))->all()),
            $run->void === null ? null : self::void($run->void),
        );
    }

    private static function void(RunVoid $void): VoidProps
    {
        return new VoidProps($void->reason, $void->recorded_by, $void->created_at->format('j M Y'), $void->withdrawn);
    }

    /** @return list<FactProps> */
    private static function facts(Run $run): array
    {
        $path = ChainRecord::unpack($run->chain);
        $facts = [
            'Chain' => $path->describe().($run->drive === null ? '' : " → {$run->drive->tag} {$run->drive->name}"),
            'Slowest link' => $path->isNamed ? $path->pinch()->describe().': '.$path->pinch()->ceiling->source : '',
            'Slot' => $run->slot?->name,
            'Region' => self::region($run),
            'How' => $run->kind === RunKind::Speed && $run->source === RunSource::Device ? implode(', ', SpeedParameters::words(SpeedParameters::unpack($run->parameters))) : null,
            'Ended' => $run->state->value.($run->ended_at === null ? '' : ', '.$run->ended_at->format($run->source === RunSource::Device ? 'j M Y H:i' : 'j M Y').' UTC'),
            'By' => $run->recorded_by,
            'Beside it' => $run->beside === null ? null : "{$run->beside}: kept apart from speeds that were measured alone",
            'Said' => $run->message,
        ];

        return array_map(
            fn (string $label, ?string $words): FactProps => new FactProps($label, $words ?? ''),
            array_keys(array_filter($facts, fn (?string $words): bool => $words !== null && $words !== '')),
            array_values(array_filter($facts, fn (?string $words): bool => $words !== null && $words !== '')),
        );
    }

    private static function region(Run $run): ?string
    {
        return match (true) {
            $run->result === null => null,
            $run->kind === RunKind::Speed => SpeedRecord::unpack($run->result)->read(ChainRecord::unpack($run->chain), null)->covers(),
            $run->kind === RunKind::Sustained => 'first '.Bytes::of($run->result->integer('bytes'))->decimal(),
            $run->kind === RunKind::Proof => 'all '.Bytes::of($run->result->integer('size'))->decimal(),
            default => null,
        };
    }

    /** @return list<WayProps> */
    private static function ways(Run $run): array
    {
        $record = SpeedRecord::unpack($run->result ?? new Fluent);
        $reading = $record->read(ChainRecord::unpack($run->chain), $run->card->label());
        $ways = [];
        foreach (['write' => [$reading->write, $record->writes], 'read' => [$reading->read, $record->reads]] as $way => [$one, $rates]) {
            if ($one !== null) {
                $ways[] = self::way($way, $one, $rates, $reading->path->excuse());
            }
        }

        return $ways;
    }

    /** @param  list<float>  $rates */
    private static function way(string $way, WayReading $one, array $rates, string $excuse): WayProps
    {
        $mega = fn (?float $rate): ?float => $rate === null ? null : $rate / 1e6;

        return new WayProps(
            $way, array_map(fn (float $rate): float => $rate / 1e6, $rates), $one->outliers, $one->summary->mean / 1e6, $one->summary->median / 1e6,
            $mega($one->summary->deviation), $mega($one->summary->margin()), $one->summary->variation(),
            array_values(array_filter([
                $one->summary->isSingleLook() ? 'A single look: no spread, no interval.' : null,
                $one->summary->isUnsteady() ? 'Unsteady: run again.' : null,
                $one->outliers === [] ? null : ucfirst($one->apart()).'.',
                $one->claim === null || $one->standing === null ? null : round(100 * ($one->share() ?? 0))." % of the label’s {$one->claim->print()}: {$one->standing->words()}.".($one->standing->value === 'not-judged-here' ? " {$excuse}" : ''),
            ], fn (?string $note): bool => $note !== null)),
            $one->isTrusted() ? null : implode('; ', array_map(fn (Suspicion $suspicion): string => $suspicion->sentence(), $one->suspicions)),
        );
    }

    /** @return list<string> */
    private static function words(Run $run): array
    {
        $result = $run->result ?? new Fluent;

        return match ($run->kind) {
            RunKind::Speed => $result->integer('wrong') > 0 ? [Bytes::of($result->integer('wrong'))->decimal().' did not come back as written.'] : self::typed($run),
            RunKind::Sustained, RunKind::Copy => [],
            RunKind::Files => self::files($result),
            RunKind::Proof, RunKind::Screen => self::proven($result),
        };
    }

    /**
     * @param  Fluent<string, mixed>  $result
     * @return list<string>
     */
    private static function proven(Fluent $result): array
    {
        $record = ProofRecord::unpack($result);

        return ["{$record->covered()->decimal()} read back, {$record->bad()->decimal()} wrong.", $record->diagnosis->condition->because(), ...$record->diagnosis->also, "Proves: {$record->proves()}"];
    }

    /** @return list<string> where size, time and speed were all typed, how they go together */
    private static function typed(Run $run): array
    {
        $said = array_map(fn (mixed $row): mixed => is_array($row) ? ($row['accord'] ?? null) : null, $run->parameters->array('typed'));

        return array_values(array_filter($said, is_string(...)));
    }

    /**
     * @param  Fluent<string, mixed>  $result
     * @return list<string>
     */
    public static function files(Fluent $result): array
    {
        $record = FilesRecord::unpack($result);
        $words = ["{$record->files} files of {$record->each->binary()} against one of the same bytes, ".count($record->rounds).' times.'];
        foreach (['Writing' => SmallFilesReading::ofWriting($record), 'Reading' => SmallFilesReading::ofReading($record)] as $way => $reading) {
            if ($reading !== null) {
                $ms = fn (float $seconds): string => number_format(1000 * $seconds, 1);
                $spread = $reading->overhead->margin() === null ? ', a single look' : " ± {$ms($reading->overhead->margin())} ms at 95 %";
                $words[] = "{$way}: ".Rate::bytesPerSecond($reading->many->mean)->print().' as small files, '.Rate::bytesPerSecond($reading->one->mean)->print()." as one. Each file costs {$ms(max(0, $reading->overhead->mean))} ms{$spread} besides its bytes.";
            }
        }
        if (! $record->forgot) {
            $words[] = 'The host could not be made to forget the files: reading says nothing of the card.';
        }

        return $words;
    }
}
