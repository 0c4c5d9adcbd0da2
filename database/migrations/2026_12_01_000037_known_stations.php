<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Stations of other houses, which stood in .env before; who signed what was read in; and what went out with a revoked key. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('known_stations', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('key', 60)->unique();
            $table->string('added_by', 80);
            $table->string('revoked_by', 80)->nullable();
            $table->dateTime('revoked_at')->nullable();
            $table->timestamps();
        });
        foreach ((array) config('tally.known_stations', []) as $name => $key) {
            DB::table('known_stations')->insertOrIgnore([
                'name' => mb_substr((string) $name, 0, 80),
                'key' => $key,
                'added_by' => 'the settings of before',
                'created_at' => now(),
                'updated_at' => now(),
            ]);
        }
        Schema::table('runs', function (Blueprint $table): void {
            $table->string('signed_by', 60)->nullable()->index();
        });
        Schema::table('run_voids', function (Blueprint $table): void {
            $table->string('revoked_key', 60)->nullable()->index();
        });
    }

    public function down(): void
    {
        Schema::table('run_voids', function (Blueprint $table): void {
            $table->dropColumn('revoked_key');
        });
        Schema::table('runs', function (Blueprint $table): void {
            $table->dropColumn('signed_by');
        });
        Schema::dropIfExists('known_stations');
    }
};
