<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Plans that are carried out: each card, and each copy of it. Times to the millisecond. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('offloads', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained();
            $table->string('name', 80);
            $table->string('goal', 10);
            $table->json('question');
            $table->json('decision');
            $table->json('rates');
            // When it was to be done by the first plan: seconds from its beginning.
            $table->double('planned');
            $table->unsignedInteger('plans')->default(1);
            // Slots and drives → folders of this machine; none for what is made up.
            $table->json('places');
            $table->boolean('is_made_up');
            // Of what is made up: seconds of its own time in one of ours, and what its links really do.
            $table->double('pace')->default(1);
            $table->json('truth');
            $table->string('state', 12);
            $table->string('by', 80);
            $table->dateTime('began_at', 3);
            $table->dateTime('ended_at', 3)->nullable();
        });
        Schema::create('offload_cards', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offload_id')->constrained()->cascadeOnDelete();
            $table->foreignId('card_id')->constrained();
            $table->unsignedInteger('place');
            $table->string('slot', 120);
            $table->unsignedInteger('turn');
            $table->string('scheme', 12);
            $table->json('drives');
            $table->string('folder', 400);
            $table->unsignedBigInteger('bytes');
            $table->unsignedInteger('files');
            $table->double('planned_in');
            $table->double('planned_free');
            $table->double('planned_clear')->nullable();
            $table->dateTime('in_at', 3)->nullable();
            $table->dateTime('free_at', 3)->nullable();
            // From when it may be cleared: two copies on two drives have been read back.
            $table->dateTime('clear_at', 3)->nullable();
            $table->json('medium')->nullable();
            $table->string('confirmed_by', 80)->nullable();
            $table->unique(['offload_id', 'card_id']);
        });
        Schema::create('offload_copies', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offload_card_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('nth');
            $table->string('drive', 20);
            $table->string('state', 12);
            $table->unsignedBigInteger('copied')->default(0);
            $table->unsignedBigInteger('verified')->default(0);
            $table->json('planned');
            $table->dateTime('copy_at', 3)->nullable();
            $table->dateTime('copied_at', 3)->nullable();
            $table->dateTime('back_at', 3)->nullable();
            $table->dateTime('verified_at', 3)->nullable();
            $table->string('message', 500)->nullable();
            $table->json('troubles')->nullable();
            $table->json('lists')->nullable();
            // By which it is found again if its worker dies.
            $table->unsignedInteger('worker')->nullable();
            $table->unsignedBigInteger('job_id')->nullable();
            $table->unique(['offload_card_id', 'drive']);
        });
        // The tray tells of a card whether its footage is secured.
        DB::unprepared(
            'CREATE TRIGGER offload_cards_change AFTER UPDATE ON offload_cards FOR EACH ROW '.
            'IF NOT (NEW.clear_at <=> OLD.clear_at) THEN UPDATE cards SET changed_at = NOW(6) WHERE id = NEW.card_id; END IF',
        );
    }
};
