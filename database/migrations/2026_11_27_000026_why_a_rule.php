<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Why a house rule was changed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('house_rules', function (Blueprint $table): void {
            $table->string('why', 200)->nullable();
        });
    }
};
