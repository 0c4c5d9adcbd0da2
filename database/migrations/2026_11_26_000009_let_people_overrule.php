<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A person may overrule a verdict with a written reason; both stay visible. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('overrules', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained();
            // What was derived, and what is said instead.
            $table->string('derived', 12);
            $table->string('verdict', 12);
            $table->string('reason', 300);
            $table->string('recorded_by', 80);
            // Why the derived one stands again.
            $table->string('withdrawn', 300)->nullable();
            $table->timestamps();
        });
        // The one that stands, kept beside the card so that a tray of thousands is one query.
        Schema::table('cards', function (Blueprint $table): void {
            $table->string('overruled', 12)->nullable()->after('verdict');
        });
    }
};
