<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When the books were brought up to date, and which verdicts changed by it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('updates', function (Blueprint $table): void {
            $table->id();
            $table->unsignedInteger('changes');
            $table->string('backup', 300);
            $table->json('verdicts');
            $table->dateTime('made_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('updates');
    }
};
