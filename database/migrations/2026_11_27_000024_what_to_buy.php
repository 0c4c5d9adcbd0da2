<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a card keeps up, kept with it so that models are compared in one query; and of which model a quote is. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('cards', function (Blueprint $table): void {
            $table->double('keeps_up')->nullable();
        });
        Schema::table('price_quotes', function (Blueprint $table): void {
            $table->string('model', 80)->nullable();
        });
    }
};
