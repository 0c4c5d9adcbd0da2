<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What bodies said of cards that were put into them, and how many recordings a card stopped. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('body_trials', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('camera_id')->constrained();
            $table->foreignId('card_id')->constrained();
            $table->string('answer', 12);
            $table->string('firmware', 40)->nullable();
            $table->string('by', 80);
            $table->dateTime('tried_at');
        });
        Schema::table('cards', function (Blueprint $table): void {
            // Recordings that it stopped itself, as they stand in their own table: every page of a card asks for it.
            $table->unsignedSmallInteger('stopped')->default(0);
        });
    }
};
