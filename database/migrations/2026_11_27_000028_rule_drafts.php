<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rules of judgement that are tried on every card before they are kept. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rule_drafts', function (Blueprint $table): void {
            $table->id();
            $table->json('shares');
            $table->string('why', 200);
            $table->string('by', 80);
            $table->unsignedInteger('cards');
            $table->unsignedInteger('looked');
            $table->unsignedBigInteger('last');
            $table->json('changes');
            $table->timestamp('begun_at');
            $table->timestamp('kept_at')->nullable();
        });
    }
};
