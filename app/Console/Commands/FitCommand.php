<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\FitFile;
use Tally\Shoot\Whole\PackedCard;
use Tally\Shoot\Whole\PackedPlace;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\PackingFile;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** Exit codes: 0 every card may record every mode, or the shoot that is asked for has all it needs; 1 not; 2 the file cannot be used. */
final class FitCommand extends Command
{
    protected $signature = 'tally:fit
        {file : Cameras, modes and cards (docs/fit.schema.json); read without the database}
        {--criterion= : What decides: mark, measured or guaranteed; without it what the file says}
        {--json : Print the answers as JSON}';

    protected $description = 'Which card may record which mode, by the mark, as measured and on guaranteed media, and for how long';

    public function handle(): int
    {
        $asked = $this->option('criterion');
        $criterion = is_string($asked) ? FitCriterion::tryFrom($asked) : null;
        if (is_string($asked) && $criterion === null) {
            return $this->refuse("“{$asked}” is nothing that decides. Say mark, measured or guaranteed.");
        }
        $path = $this->argument('file');
        $json = is_file($path) ? @file_get_contents($path) : false;
        if ($json === false) {
            return $this->refuse("“{$path}” is no file that can be read. Give a file as docs/fit.schema.json describes it.");
        }
        try {
            $values = json_decode($json, true);
            $file = FitFile::read(is_array($values) ? $values : throw NotUsable::field('file', $values, 'give an object.'));
        } catch (NotUsable $fault) {
            return $this->refuse($fault->getMessage());
        }
        $answers = $file->answers($criterion);
        $question = $file->question($criterion);
        $packing = $question === null ? null : Packing::of($question);
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode(
                    Values::plain([
                        'criterion' => ($criterion ?? $file->written->criterion)->value,
                        'margin' => $file->written->margin,
                        'usable' => $file->written->usable,
                        'answers' => $answers,
                        ...$packing === null ? [] : ['shoot' => PackingFile::of($packing)],
                    ]),
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->table(['Camera', 'Mode', 'Card', 'May it', 'Minutes', 'Least mark'], array_map(self::row(...), $answers));
            $decided = lcfirst(($criterion ?? $file->written->criterion)->label());
            $this->line("Decided {$decided}. Minutes by what was proven; by the label, marked ~, where nothing was.");
            if ($packing !== null) {
                $this->packed($packing);
            }
        }
        $isShort = $packing !== null && array_filter($packing->places, fn (PackedPlace $one): bool => $one->missing() > 0) !== [];
        $saysNo = $packing === null && array_filter($answers, fn (array $answer): bool => $answer['may'] !== true) !== [];

        return $isShort || $saysNo ? 1 : 0;
    }

    private function packed(Packing $packing): void
    {
        $this->newLine();
        $this->table(['Place', 'Needs', 'Cards in order', 'Missing'], array_map(
            fn (PackedPlace $one): array => [
                $one->place->name(),
                $one->place->needs(),
                implode(', ', array_map(
                    fn (PackedCard $card): string => "{$card->tag} ({$one->place->count->words($card->count)})",
                    $one->cards,
                )),
                $one->missing() === 0 ? '' : $one->misses(),
            ],
            $packing->places,
        ));
        foreach ($packing->buys as $buy) {
            $this->line("To buy: {$buy->words()}");
        }
        $this->line($packing->words());
    }

    /**
     * @param  array<string, mixed>  $answer
     * @return list<string>
     */
    private static function row(array $answer): array
    {
        $text = fn (string $key): string => is_scalar($answer[$key] ?? null) ? (string) $answer[$key] : '';
        $words = $text('words');
        $lasts = $text('shots') === '' ? "{$text('minutes')} min" : "{$text('shots')} shots";

        return [
            $text('camera'),
            $text('mode'),
            $text('card'),
            $answer['may'] === true ? ($words === '' ? 'yes' : "yes, {$words}") : "no: {$words}",
            ($answer['proven'] === true ? '' : '~').$lasts,
            $text('least_mark') === '' ? 'none' : $text('least_mark'),
        ];
    }

    private function refuse(string $sentence): int
    {
        $output = $this->output->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($sentence);

        return 2;
    }
}
