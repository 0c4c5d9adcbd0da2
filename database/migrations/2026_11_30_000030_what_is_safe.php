<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a card held when it was read, what each copy was found to be since, and which drives are still in service. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('offload_cards', function (Blueprint $table): void {
            // The record of footage that lay on the card when it was read; what is marked later is new footage.
            $table->foreignId('footage_act_id')->nullable()->constrained()->nullOnDelete();
            // What was found on it before the first byte, and what was said of that.
            $table->json('found')->nullable();
            $table->dateTime('read_at', 3)->nullable();
            $table->string('refused', 500)->nullable();
            $table->string('refused_for', 20)->nullable();
            $table->string('less_by', 80)->nullable();
        });
        Schema::table('offload_copies', function (Blueprint $table): void {
            // What its folder lay on when it was read back; none in books of before.
            $table->json('place')->nullable();
            // XXH128 of the record beside it, by which it is known wherever its drive is mounted.
            $table->char('record', 32)->nullable()->index();
            $table->string('standing', 20)->nullable();
            $table->dateTime('standing_at')->nullable();
            $table->string('standing_by', 80)->nullable();
            $table->string('standing_note', 300)->nullable();
            // When its worker said last that it goes on, and which process that is.
            $table->dateTime('beat_at', 3)->nullable();
            $table->unsignedInteger('pid')->nullable();
        });
        Schema::table('drives', function (Blueprint $table): void {
            $table->date('gone_on')->nullable();
            $table->string('gone_why', 200)->nullable();
            $table->string('gone_by', 80)->nullable();
        });
        // Why footage that is not secured may be lost by a run in its folder.
        Schema::table('runs', function (Blueprint $table): void {
            $table->string('may_be_lost', 300)->nullable();
        });
        // Of the offloads of before it can only be told by their clocks: what was marked before the card was put in.
        DB::statement(
            'UPDATE offload_cards SET footage_act_id = (SELECT MAX(footage_acts.id) FROM footage_acts WHERE '.
            'footage_acts.card_id = offload_cards.card_id AND bytes > 0 AND created_at <= COALESCE(in_at, clear_at)) '.
            'WHERE clear_at IS NOT NULL',
        );
        DB::table('offload_copies')
            ->where('state', 'verified')
            ->update(['standing' => 'read back', 'standing_at' => DB::raw('verified_at')]);
        // A drive held against its lists, as somebody asked for on its page.
        Schema::create('drive_checks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained()->cascadeOnDelete();
            $table->string('drive', 20)->index();
            $table->string('folder', 400);
            $table->string('by', 80);
            $table->string('state', 20);
            $table->unsignedBigInteger('done')->default(0);
            $table->unsignedBigInteger('total')->default(0);
            $table->unsignedInteger('pid')->nullable();
            $table->string('message', 500)->nullable();
            $table->json('lines')->nullable();
            $table->dateTime('asked_at');
            $table->dateTime('ended_at')->nullable();
        });
        // Plans as pages showed them, for whoever begins, keeps or prints one.
        Schema::create('shown_plans', function (Blueprint $table): void {
            $table->char('key', 24)->primary();
            $table->longText('plan');
            $table->timestamp('shown_at')->index();
        });
        // What another machine is asked to look at, and its answer.
        Schema::create('bench_questions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained()->cascadeOnDelete();
            $table->json('question');
            $table->json('answer')->nullable();
            $table->dateTime('asked_at', 3);
        });
    }
};
