<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Tables that were sent in and wait to be confirmed, on whichever web machine they arrived. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('waiting_tables', function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->string('name', 80);
            $table->string('refused', 600)->nullable();
            // Packed; null while it is being read.
            $table->binary('rows')->nullable();
            $table->dateTime('sent_at')->index();
        });
        Schema::getConnection()->statement('ALTER TABLE waiting_tables MODIFY `rows` MEDIUMBLOB NULL');
    }

    public function down(): void
    {
        Schema::dropIfExists('waiting_tables');
    }
};
