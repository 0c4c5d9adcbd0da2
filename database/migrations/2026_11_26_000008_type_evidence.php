<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tally\Label\Form;
use Tally\Record\Before;
use Tally\Value\Values;

/** What was kept in words is kept as data, and chains as they were measured, whatever card was in them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('runs', function (Blueprint $table): void {
            // What its reader was seen to carry, and over how fast a link: bytes a second.
            $table->double('carried')->nullable()->after('result');
            $table->double('carried_over')->nullable()->after('carried');
            // Where it was read in from.
            $table->json('origin')->nullable()->after('source');
            // Which job of the queue carries it out.
            $table->unsignedBigInteger('job_id')->nullable()->after('lane');
            $table->index(['reader_id', 'carried']);
        });
        foreach (['readers', 'cables', 'ports', 'drives'] as $gear) {
            Schema::table($gear, function (Blueprint $table): void {
                $table->foreignId('measured_run_id')->nullable()->after('measured_how')->constrained('runs');
            });
            // The one time that the number is read out of the words it was written in.
            DB::statement(
                "UPDATE {$gear} JOIN runs ON runs.id = CAST(REGEXP_SUBSTR({$gear}.measured_how, '(?<=^run )[0-9]+(?=, )') AS ".
                "UNSIGNED) SET {$gear}.measured_run_id = runs.id",
            );
        }
        DB::table('cards')
            ->where('next_step', 'ask')
            ->update(['next_step' => 'prove']);
        $this->chains();
    }

    private function chains(): void
    {
        DB::table('runs')
            ->join('cards', 'cards.id', '=', 'runs.card_id')
            ->leftJoin('readers', 'readers.id', '=', 'runs.reader_id')
            ->select('runs.id', 'runs.chain', 'runs.parameters', 'runs.reader_id', 'cards.form', 'readers.tag', 'readers.camera')
            ->orderBy('runs.id')
            ->chunk(500, function (iterable $runs): void {
                foreach ($runs as $run) {
                    $run = (array) $run;
                    $chain = Before::chain(
                        self::decoded($run['chain'] ?? null),
                        Form::from(is_string($run['form'] ?? null) ? $run['form'] : ''),
                    );
                    if (is_string($run['tag'] ?? null) && $chain['slot'] !== []) {
                        $buses = DB::table('reader_slots')
                            ->where('reader_id', $run['reader_id'])
                            ->pluck('buses')
                            ->flatMap(fn (mixed $buses): array => self::decoded($buses))
                            ->unique()
                            ->values()
                            ->all();
                        $chain = [
                            ...$chain,
                            'reader' => $run['tag'],
                            'slot' => $buses === [] ? $chain['slot'] : $buses,
                            'camera' => (bool) ($run['camera'] ?? false),
                        ];
                    }
                    $parameters = self::decoded($run['parameters'] ?? null);
                    $origin = $parameters['file'] ?? null;
                    DB::table('runs')
                        ->where('id', $run['id'])
                        ->update(['chain' => Values::json($chain), ...is_array($origin) ? ['origin' => Values::json($origin)] : []]);
                }
            });
    }

    /** @return array<mixed> */
    private static function decoded(mixed $json): array
    {
        return is_string($json) ? (array) json_decode($json, true) : [];
    }
};
