<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The line of a label as it was typed; whose double rate a slot speaks; and what a bench itself gives. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('cards', function (Blueprint $table): void {
            $table->string('label_line', 300)->nullable();
            // What the digits of its capacity are in decimal units, where binary ones were typed. Bytes.
            $table->unsignedBigInteger('in_decimal')->nullable();
            // Whether something is printed that may be a speed, and was not taken for one.
            $table->boolean('has_unread')->default(false);
        });
        Schema::table('reader_slots', function (Blueprint $table): void {
            $table->string('matches', 60)->nullable();
        });
        Schema::table('stations', function (Blueprint $table): void {
            // Of its own engine on memory, in bytes a second; and of which code on which machine that was measured.
            $table->double('engine_write')->nullable();
            $table->double('engine_read')->nullable();
            $table->string('engine_of', 64)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('cards', fn (Blueprint $table) => $table->dropColumn(['label_line', 'in_decimal', 'has_unread']));
        Schema::table('reader_slots', fn (Blueprint $table) => $table->dropColumn('matches'));
        Schema::table('stations', fn (Blueprint $table) => $table->dropColumn(['engine_write', 'engine_read', 'engine_of']));
    }
};
