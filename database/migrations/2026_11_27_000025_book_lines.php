<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Every change of the books, a line each, that is only ever added: the table of spatie/laravel-activitylog, and whose card it is about. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('activity_log', function (Blueprint $table): void {
            $table->id();
            $table->string('log_name', 20)->nullable();
            $table->string('description', 200);
            $table->string('subject_type', 120)->nullable();
            // House rules go by their names.
            $table->string('subject_id', 60)->nullable();
            $table->string('event', 20)->nullable();
            $table->nullableMorphs('causer');
            $table->json('properties')->nullable();
            $table->uuid('batch_uuid')->nullable();
            $table->unsignedBigInteger('card_id')->nullable()->index();
            $table->string('who', 80)->nullable();
            $table->timestamps();
            $table->index(['subject_type', 'subject_id']);
        });
        // In the database, so that no way of writing is forgotten.
        DB::unprepared(
            'CREATE TRIGGER book_lines_stay BEFORE UPDATE ON activity_log FOR EACH ROW '.
            "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'Lines of the books are only ever added.'",
        );
    }
};
