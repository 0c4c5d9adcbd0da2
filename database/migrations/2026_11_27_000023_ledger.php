<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What happened to cards, when they are tested again, and those that are out of service. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('incidents', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained();
            $table->foreignId('reader_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('camera_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 16);
            $table->string('note', 200);
            $table->string('recorded_by', 80);
            $table->dateTime('happened_at');
            $table->dateTime('created_at');
            $table->index(['reader_id', 'kind']);
        });
        Schema::table('cards', function (Blueprint $table): void {
            // As it was last derived, so that the line and the tray count those that are due in one query.
            $table->date('due_on')->nullable()->index();
            $table->string('due_test', 8)->nullable();
            $table->string('due_why', 200)->nullable();
            $table->date('retired_on')->nullable()->index();
            $table->string('retired_why', 200)->nullable();
            $table->string('retired_by', 80)->nullable();
        });
    }
};
