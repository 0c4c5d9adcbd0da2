<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a drive got wrong stays with it, whatever comes of the copy; and where cards went is proposed again. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('drive_findings', function (Blueprint $table): void {
            $table->id();
            // Its tag: a finding outlives the entry in the kit.
            $table->string('drive', 20)->index();
            $table->foreignId('offload_id')->constrained();
            $table->foreignId('card_id')->constrained();
            // A kind of trouble with one file.
            $table->string('kind', 20);
            $table->string('path', 400);
            $table->string('by', 80);
            $table->dateTime('found_at');
        });
        Schema::table('offloads', function (Blueprint $table): void {
            $table->string('pattern', 160)->nullable();
        });
    }
};
