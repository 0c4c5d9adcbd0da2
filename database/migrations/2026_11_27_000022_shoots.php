<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whole shoots that are kept, with the cards that went along; and what proxies of a mode write. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('shoots', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80)->unique();
            $table->date('begins')->index();
            $table->unsignedSmallInteger('days');
            $table->json('question');
            $table->string('recorded_by', 80);
            $table->dateTime('created_at');
        });
        Schema::create('shoot_cards', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shoot_id')->constrained()->cascadeOnDelete();
            $table->foreignId('card_id')->constrained();
            $table->unsignedSmallInteger('place');
            $table->unsignedSmallInteger('turn');
            $table->string('at', 200);
            $table->json('packed');
            $table->unique(['shoot_id', 'card_id']);
        });
        Schema::table('camera_modes', function (Blueprint $table): void {
            $table->double('proxy_writes')->nullable();
        });
    }
};
