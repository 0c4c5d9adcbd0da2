<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Tries at signing in; addresses that sign somebody in once; who was told what they may do; forms that were begun and not done. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sign_in_tries', function (Blueprint $table): void {
            $table->char('key', 64)->primary();
            $table->unsignedInteger('tries');
            $table->dateTime('next_at');
            $table->dateTime('tried_at')->index();
        });
        Schema::create('once_addresses', function (Blueprint $table): void {
            $table->char('token', 64)->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->dateTime('until')->index();
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->dateTime('welcomed_at')->nullable();
        });
        Schema::table('sent_forms', function (Blueprint $table): void {
            $table->dateTime('done_at')->nullable();
        });
        DB::table('sent_forms')->update(['done_at' => DB::raw('sent_at')]);
    }

    public function down(): void
    {
        Schema::table('sent_forms', function (Blueprint $table): void {
            $table->dropColumn('done_at');
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn('welcomed_at');
        });
        Schema::dropIfExists('once_addresses');
        Schema::dropIfExists('sign_in_tries');
    }
};
