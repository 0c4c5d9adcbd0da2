<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Reports of a period, as they are gathered and kept; things that were bought, and what they saved since. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('house_reports', function (Blueprint $table): void {
            $table->id();
            $table->date('from');
            $table->date('to');
            $table->json('todo');
            $table->unsignedInteger('taken');
            $table->json('figures')->nullable();
            $table->json('struck');
            $table->json('carried');
            $table->string('by', 80);
            $table->timestamp('begun_at');
        });
        Schema::create('purchases', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20);
            $table->string('name', 120);
            $table->unsignedBigInteger('price');
            $table->char('currency', 3);
            $table->unsignedBigInteger('hour');
            $table->double('expected');
            $table->double('a_month');
            $table->date('bought_on');
            $table->string('by', 80);
            $table->timestamp('written_at');
        });
        Schema::create('purchase_savings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('purchase_id')->constrained()->cascadeOnDelete();
            $table->string('what', 40);
            $table->double('seconds')->nullable();
            $table->unique(['purchase_id', 'what']);
        });
    }
};
