<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('runs', function (Blueprint $table): void {
            // Where a proof can be taken up again.
            $table->json('checkpoint')->nullable()->after('result');
            // Which worker of the station carries it out.
            $table->unsignedTinyInteger('lane')->nullable()->after('state');
        });
        // Append-only: what was destroyed, by whom, when.
        Schema::create('erasures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->nullable()->constrained();
            $table->foreignId('run_id')->nullable()->constrained();
            $table->string('what', 200);
            $table->string('path', 500);
            $table->unsignedBigInteger('bytes');
            $table->string('person', 80);
            $table->string('station', 80);
            $table->string('why', 300)->nullable();
            $table->timestamp('erased_at');
        });
    }
};
