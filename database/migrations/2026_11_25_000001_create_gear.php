<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the house owns: hosts with ports, readers, drives, and the stations where cards are plugged in. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('hosts', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60)->unique();
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
        Schema::create('ports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('host_id')->constrained();
            $table->string('name', 60);
            $table->string('link', 30);
            $table->timestamps();
            $table->unique(['host_id', 'name']);
        });
        Schema::create('readers', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('name', 80);
            $table->json('buses');
            $table->string('uplink', 30);
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
        Schema::create('drives', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('name', 80);
            $table->string('link', 30);
            $table->double('write');
            $table->double('read');
            $table->unsignedBigInteger('free');
            $table->foreignId('host_id')->nullable()->constrained();
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
        Schema::create('stations', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60)->unique();
            $table->foreignId('host_id')->constrained();
            $table->timestamp('worker_seen_at')->nullable();
            $table->timestamps();
        });
        Schema::create('slots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained();
            $table->string('name', 60);
            $table->string('kind', 20);
            $table->foreignId('reader_id')->constrained();
            $table->foreignId('port_id')->constrained();
            $table->string('path', 500)->nullable();
            $table->timestamps();
            $table->unique(['station_id', 'name']);
        });
    }
};
