<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Slots of readers, cables, controllers, caches of drives, cameras; and what the house measured itself. Speeds in bytes a second. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cables', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('name', 80);
            $table->string('link', 30);
            $this->measured($table);
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
        Schema::create('reader_slots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('reader_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->json('buses');
            // Slots with the same lane share it; each on its own lane is independent.
            $table->string('lane', 20);
            $table->timestamps();
            $table->unique(['reader_id', 'name']);
        });
        foreach (DB::table('readers')->get() as $reader) {
            DB::table('reader_slots')->insert([
                'reader_id' => $reader->id,
                'name' => 'slot',
                'buses' => $reader->buses,
                'lane' => 'A',
                'created_at' => now(),
                'updated_at' => now(),
            ]);
        }
        Schema::table('readers', function (Blueprint $table): void {
            $table->dropColumn('buses');
            $table->foreignId('cable_id')->nullable()->constrained();
            $this->measured($table);
        });
        Schema::table('ports', function (Blueprint $table): void {
            $table->string('controller', 60)->default('controller 1');
            $this->measured($table);
        });
        Schema::table('drives', function (Blueprint $table): void {
            $table->unsignedBigInteger('capacity')->nullable();
            $table->boolean('spinning')->default(false);
            $table->unsignedBigInteger('cache')->nullable();
            $table->double('cache_write')->nullable();
            $this->measured($table);
        });
        Schema::create('cameras', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('name', 80);
            $table->string('recorded_by', 80)->nullable();
            $table->timestamps();
        });
        Schema::create('camera_slots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('camera_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->json('buses');
            $table->timestamps();
            $table->unique(['camera_id', 'name']);
        });
    }

    /** The house's own figure for a link, and how it was got. */
    private function measured(Blueprint $table): void
    {
        $table->double('measured')->nullable();
        $table->string('measured_how', 120)->nullable();
    }
};
