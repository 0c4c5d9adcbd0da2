<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a plan needs of the kit and of the cards, and plans that are kept. Speeds in bytes a second. */
return new class extends Migration
{
    public function up(): void
    {
        // A copy that built previews, timed: files a second.
        Schema::table('hosts', function (Blueprint $table): void {
            $table->unsignedInteger('preview_files')->nullable();
            $table->double('preview_seconds')->nullable();
            $table->string('preview_how', 120)->nullable();
        });
        Schema::create('hubs', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('name', 80);
            $table->string('uplink', 30);
            $table->foreignId('port_id')->nullable()->constrained();
            $this->measured($table);
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
        Schema::create('hub_ports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('hub_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->string('link', 30);
            $table->timestamps();
            $table->unique(['hub_id', 'name']);
        });
        Schema::create('adapters', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('name', 80);
            $table->json('buses');
            $this->measured($table);
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
        Schema::table('reader_slots', function (Blueprint $table): void {
            $table->foreignId('adapter_id')->nullable()->constrained();
        });
        Schema::table('cards', function (Blueprint $table): void {
            $table->unsignedInteger('footage_files')->default(0);
        });
        Schema::table('footage_acts', function (Blueprint $table): void {
            $table->unsignedInteger('files')->default(0);
        });
        Schema::create('saved_plans', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80)->unique();
            $table->string('goal', 10);
            // As a plan file, with the rates of that day; and what was decided, by name.
            $table->json('question');
            $table->json('decision');
            $table->json('rates');
            $table->double('done');
            $table->double('free');
            $table->unsignedInteger('hands');
            $table->string('recorded_by', 80);
            $table->dateTime('created_at');
            $table->dateTime('begun_at')->nullable();
            $table->dateTime('free_at')->nullable();
            $table->dateTime('done_at')->nullable();
            $table->string('note', 300)->nullable();
        });
    }

    private function measured(Blueprint $table): void
    {
        $table->double('measured')->nullable();
        $table->string('measured_how', 120)->nullable();
        $table->unsignedBigInteger('measured_run_id')->nullable();
    }
};
