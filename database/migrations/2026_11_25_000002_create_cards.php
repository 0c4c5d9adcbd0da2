<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Cards with what their labels claim. Sizes in bytes, speeds in bytes a second. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cards', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('name', 80);
            $table->string('form', 20);
            $table->unsignedBigInteger('capacity');
            $table->string('family', 8)->nullable();
            $table->string('bus', 30)->nullable();
            $table->json('marks');
            $table->double('read')->nullable();
            $table->double('write')->nullable();
            $table->double('sustained')->nullable();
            $table->double('times')->nullable();
            $table->unsignedTinyInteger('contact_rows')->nullable();
            // Footage on it that is to be brought home.
            $table->unsignedBigInteger('footage')->default(0);
            // Which made-up medium it is, when it lives in a stand-in slot.
            $table->string('stand_in', 200)->nullable();
            $table->string('line', 120);
            // Derived from the above and from the runs, kept here so that the tray is one query. Never typed.
            $table->string('verdict', 10)->default('Unproven');
            $table->string('next_step', 20)->default('measure');
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
            $table->index('next_step');
        });
    }
};
