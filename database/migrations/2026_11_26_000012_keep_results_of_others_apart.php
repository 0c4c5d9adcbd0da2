<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Result files that no station this house knows has signed: shown as theirs, part of no verdict.
        Schema::create('results_of_others', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained()->cascadeOnDelete();
            $table->char('hash', 64);
            $table->string('verdict', 20);
            $table->unsignedInteger('runs');
            $table->string('made_at', 30);
            // Of whoever signed it, as the file says; null when nobody did.
            $table->string('station', 80)->nullable();
            $table->string('key', 60)->nullable();
            $table->longText('file');
            $table->string('recorded_by', 80);
            $table->timestamp('created_at');
            $table->unique(['card_id', 'hash']);
        });
    }
};
