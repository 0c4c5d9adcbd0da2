<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    private const NAMES = [
        'App\Jobs\ConductRun' => 'App\Runs\Conducting\ConductRun',
        'App\Jobs\CarryCopies' => 'App\Offload\Carrying\CarryCopies',
        'App\Jobs\VerifyDrive' => 'App\Kit\VerifyDrive',
    ];

    /** What waits in the queues was ordered under the names of before; an order says how long its name is. */
    public function up(): void
    {
        foreach (DB::table('jobs')->get(['id', 'payload']) as $row) {
            $payload = json_decode(is_string($row->payload) ? $row->payload : '', true);
            if (! is_array($payload) || ! is_array($payload['data'] ?? null) || ! is_string($payload['data']['command'] ?? null)) {
                continue;
            }
            foreach (self::NAMES as $before => $now) {
                if (($payload['data']['commandName'] ?? null) === $before) {
                    $payload['displayName'] = $payload['data']['commandName'] = $now;
                    $payload['data']['command'] = str_replace(
                        sprintf('O:%d:"%s"', strlen($before), $before),
                        sprintf('O:%d:"%s"', strlen($now), $now),
                        $payload['data']['command'],
                    );
                }
            }
            DB::table('jobs')->where('id', $row->id)->update(['payload' => json_encode($payload, JSON_THROW_ON_ERROR)]);
        }
    }
};
