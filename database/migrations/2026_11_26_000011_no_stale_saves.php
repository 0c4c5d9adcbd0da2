<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('cards', function (Blueprint $table): void {
            // Counts up with every correction of the label.
            $table->unsignedInteger('revision')->default(0)->after('recorded_by');
        });
        // What was changed of a card's label, by whom; what a page that was loaded before did not know.
        Schema::create('corrections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('revision');
            $table->json('changes');
            $table->string('recorded_by', 80)->nullable();
            $table->timestamp('created_at');
            $table->unique(['card_id', 'revision']);
        });
        // That a card carries footage, and that it was cleared: each an act of its own, with name and time.
        Schema::create('footage_acts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('bytes');
            $table->string('note', 300)->nullable();
            $table->string('recorded_by', 80);
            $table->timestamp('created_at');
        });
        $laden = DB::table('cards')
            ->where('footage', '>', 0)
            ->get(['id', 'footage', 'recorded_by', 'updated_at']);
        foreach ($laden as $card) {
            DB::table('footage_acts')->insert([
                'card_id' => $card->id,
                'bytes' => $card->footage,
                'note' => 'as it stood on the label',
                'recorded_by' => $card->recorded_by ?? 'nobody named',
                'created_at' => $card->updated_at ?? now(),
            ]);
        }
        // A form that was sent twice counts once.
        Schema::create('sent_forms', function (Blueprint $table): void {
            $table->char('key', 64)->primary();
            $table->timestamp('sent_at')->index();
        });
    }
};
