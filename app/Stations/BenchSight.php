<?php

declare(strict_types=1);

namespace App\Stations;

use App\Models\Offload\OffloadCopy;
use App\Models\Stations\Station;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Exception\ExceptionInterface;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;
use Tally\Transfer\CardSight;
use Tally\Transfer\Filed\CopySight;
use Tally\Value\Values;

/**
 * Asks the bench where a medium is plugged in to look at it now. Looking is done by a process of its own there: the one that serves
 * the page touches no medium, and one that hangs is left.
 */
final readonly class BenchSight
{
    /** Seconds for a look, and for the answer of another machine, whose lookout goes round every two. */
    private const LOOK = 8.0;

    private const ANSWER = 12.0;

    /** @return CardSight|null null where the bench does not answer */
    public static function card(Station $station, string $path): ?CardSight
    {
        $answer = self::ask($station, ['card' => $path]);

        return $answer === null ? null : Values::read(CardSight::class, $answer);
    }

    /**
     * @param  string  $drive  the folder where its drive was mounted
     * @return CopySight|null null where the bench does not answer
     */
    public static function copy(Station $station, OffloadCopy $copy, string $drive): ?CopySight
    {
        $answer = self::ask($station, [
            'copy' => $drive,
            'folder' => $copy->offloadCard->folder,
            'record' => $copy->record,
            'place' => Values::plain($copy->place),
        ]);

        return $answer === null ? null : Values::read(CopySight::class, $answer);
    }

    /**
     * @param  array<string, mixed>  $question  of `tally:look`
     * @return array<mixed>|null
     */
    private static function ask(Station $station, array $question): ?array
    {
        if ($station->isHere()) {
            return self::look($question);
        }
        if (! $station->hasWorker()) {
            return null;
        }
        DB::table('bench_questions')->where('asked_at', '<', now()->subMinutes(10))->delete();
        $id = DB::table('bench_questions')->insertGetId([
            'station_id' => $station->id,
            'question' => json_encode($question, JSON_THROW_ON_ERROR),
            'asked_at' => now(),
        ]);
        for ($end = hrtime(true) + self::ANSWER * 1e9; hrtime(true) < $end; usleep(150_000)) {
            $answer = DB::table('bench_questions')->where('id', $id)->value('answer');
            if (is_string($answer)) {
                DB::table('bench_questions')->where('id', $id)->delete();

                return self::decoded($answer);
            }
        }
        DB::table('bench_questions')->where('id', $id)->delete();

        return null;
    }

    /** The lookout of a station answers what others ask of it. */
    public static function answerAll(Station $station): void
    {
        foreach (DB::table('bench_questions')->where('station_id', $station->id)->whereNull('answer')->get() as $asked) {
            $answer = self::look(is_string($asked->question) ? self::decoded($asked->question) ?? [] : []);
            DB::table('bench_questions')
                ->where('id', $asked->id)
                ->update(['answer' => json_encode($answer, JSON_THROW_ON_ERROR)]);
        }
    }

    /**
     * @param  array<mixed>  $question
     * @return array<mixed>|null null where it hangs
     */
    private static function look(array $question): ?array
    {
        $php = (new PhpExecutableFinder())->find(false);
        $look = new Process(
            // What hangs in the kernel cannot be ended, and whoever waits for its end would hang with it: a shell stands between.
            ['sh', '-c', 'exec 3<&0; "$@" <&3 & wait $!', 'sh', $php === false ? 'php' : $php, base_path('artisan'), 'tally:look'],
            base_path(),
            input: json_encode($question, JSON_THROW_ON_ERROR),
            timeout: self::LOOK,
        );
        try {
            $look->run();
        } catch (ExceptionInterface) {
            return null;
        }

        return $look->isSuccessful() ? self::decoded($look->getOutput()) : null;
    }

    /** @return array<mixed>|null */
    private static function decoded(string $json): ?array
    {
        $said = json_decode($json, true);

        return is_array($said) ? $said : null;
    }
}
