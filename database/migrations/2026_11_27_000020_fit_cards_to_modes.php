<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Modes of cameras and how fast they really fill a card, bursts, what stopped a recording, and what the house goes by. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('camera_modes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('camera_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('kind', 12);
            // Bytes a second, on paper.
            $table->double('writes');
            $table->unsignedBigInteger('shot')->nullable();
            $table->double('frames')->nullable();
            // Seconds that its takes last at the most.
            $table->double('clip')->nullable();
            $table->string('asks_mark', 8)->nullable();
            $table->boolean('asks_guaranteed')->default(false);
            $table->string('asks_form', 16)->nullable();
            $table->boolean('refuses')->default(true);
            $table->string('records', 12);
            $table->timestamps();
            $table->unique(['camera_id', 'name']);
        });
        Schema::create('mode_calibrations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('camera_mode_id')->constrained()->cascadeOnDelete();
            $table->boolean('is_clip');
            $table->unsignedBigInteger('bytes');
            $table->double('seconds');
        });
        Schema::create('bursts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('camera_id')->constrained();
            $table->foreignId('card_id')->constrained();
            $table->unsignedInteger('frames');
            $table->unsignedBigInteger('frame');
            $table->double('per_second');
            $table->double('clear');
            $table->string('by', 80);
            $table->dateTime('logged_at');
        });
        Schema::create('stopped_recordings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('camera_id')->constrained();
            $table->foreignId('card_id')->constrained();
            $table->foreignId('camera_mode_id')->nullable()->constrained()->nullOnDelete();
            $table->string('cause', 12);
            // Seconds into the recording.
            $table->double('after')->nullable();
            $table->string('by', 80);
            $table->dateTime('logged_at');
        });
        Schema::create('house_rules', function (Blueprint $table): void {
            $table->string('name', 40)->primary();
            $table->string('value', 40);
            $table->string('by', 80);
            $table->dateTime('changed_at');
        });
    }
};
