<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rounds of practice: who, on which made-up card, what was done and how it was called. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practice_rounds', function (Blueprint $table): void {
            $table->id();
            $table->string('person', 80);
            $table->unsignedTinyInteger('level');
            $table->unsignedInteger('seed');
            $table->string('trick', 30);
            $table->json('moves');
            $table->string('verdict', 20)->nullable();
            $table->string('holds', 10)->nullable();
            $table->unsignedBigInteger('capacity')->nullable();
            $table->json('mistakes')->nullable();
            $table->timestamp('began_at');
            $table->timestamp('called_at')->nullable();
            $table->index(['person', 'called_at']);
        });
    }
};
