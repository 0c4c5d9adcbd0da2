<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where cards come from, what was seen on them, their photos, and what such cards cost. */
return new class extends Migration
{
    public function up(): void
    {
        // The very first books that were landed had no such column yet; it was put into their own change afterwards.
        if (! Schema::hasColumn('cards', 'sustained')) {
            Schema::table('cards', function (Blueprint $table): void {
                $table->double('sustained')->nullable()->after('write');
            });
        }
        Schema::table('cards', function (Blueprint $table): void {
            // A code as typed, and beside it the part of it that counts when two are compared: see Tally\Origin\Code.
            foreach (['serial', 'back_code', 'lot'] as $code) {
                $table->string($code, 60)->nullable();
                $table
                    ->string("{$code}_key", 60)
                    ->nullable()
                    ->index();
            }
            $table->unsignedBigInteger('price')->nullable();
            $table->char('currency', 3)->nullable();
            $table->string('seller', 80)->nullable();
            $table->string('order_no', 60)->nullable();
            $table->date('bought_on')->nullable();
            $table->string('provenance', 20)->nullable();
        });
        Schema::create('inspections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained();
            $table->string('question', 20);
            $table->string('answer', 20);
            $table->foreignId('reader_id')->nullable()->constrained();
            $table->string('seen_by', 80);
            // Taken back with a reason, never deleted.
            $table->string('withdrawn', 200)->nullable();
            $table->timestamps();
            $table->index(['card_id', 'id']);
            $table->index(['reader_id', 'id']);
        });
        Schema::create('photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('card_id')->constrained();
            $table->string('side', 10);
            $table->string('file', 120);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
            $table->unique(['card_id', 'side']);
        });
        Schema::create('price_quotes', function (Blueprint $table): void {
            $table->id();
            $table->string('form', 20);
            $table->unsignedSmallInteger('tier');
            $table->unsignedBigInteger('capacity');
            $table->unsignedBigInteger('price');
            $table->char('currency', 3);
            $table->date('quoted_on');
            $table->string('source', 80);
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
            $table->index(['form', 'tier', 'currency']);
        });
    }
};
