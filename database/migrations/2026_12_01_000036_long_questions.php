<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Questions that take more than a moment and are being answered just now, and whose. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('long_questions', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('person')->index();
            $table->dateTime('asked_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('long_questions');
    }
};
