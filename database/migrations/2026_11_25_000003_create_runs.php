<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was done to a card, on which chain, and what came of it; and the queue that carries it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained();
            $table->foreignId('station_id')->nullable()->constrained();
            $table->foreignId('slot_id')->nullable()->constrained();
            $table->string('kind', 20);
            $table->string('state', 20);
            // The chain as it was then: gear may be changed later.
            $table->json('chain');
            $table->json('parameters');
            $table->json('progress')->nullable();
            $table->json('result')->nullable();
            $table->string('message', 1000)->nullable();
            $table->boolean('stop_requested')->default(false);
            $table->string('recorded_by', 80)->nullable();
            $table->timestamp('started_at')->nullable();
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
            $table->index(['card_id', 'id']);
            $table->index(['station_id', 'state']);
        });
        Schema::create('run_samples', function (Blueprint $table): void {
            $table->foreignId('run_id')->primary()->constrained();
            $table->json('traces');
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }
};
