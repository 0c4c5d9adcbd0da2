<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('runs', function (Blueprint $table): void {
            // Measured by this program, typed in, or timed by hand.
            $table->string('source', 12)->default('device')->after('state');
            // Which gear it went over; the chain keeps how fast that was then.
            $table->foreignId('reader_id')->nullable()->after('slot_id')->constrained();
            $table->foreignId('cable_id')->nullable()->after('reader_id')->constrained();
            $table->foreignId('port_id')->nullable()->after('cable_id')->constrained();
            $table->foreignId('drive_id')->nullable()->after('port_id')->constrained();
            // What else was going on at the same time: such a speed is kept apart from those measured alone.
            $table->string('beside', 200)->nullable()->after('message');
            $table->index(['kind', 'card_id']);
        });
        DB::statement(
            'UPDATE runs JOIN slots ON slots.id = runs.slot_id JOIN readers ON readers.id = slots.reader_id SET runs.reader_id = '.
            'slots.reader_id, runs.port_id = slots.port_id, runs.cable_id = readers.cable_id',
        );
        Schema::table('readers', function (Blueprint $table): void {
            $table->boolean('camera')->default(false)->after('uplink');
        });
        Schema::create('run_voids', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('run_id')->constrained();
            $table->string('reason', 300);
            $table->string('recorded_by', 80);
            $table->string('withdrawn', 300)->nullable();
            $table->timestamps();
        });
        Schema::create('heat_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('run_id')->constrained();
            $table->unsignedBigInteger('at')->nullable();
            $table->double('celsius');
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
    }
};
