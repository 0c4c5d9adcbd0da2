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
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80)->unique();
            $table->string('password');
            $table->boolean('must_change')->default(false);
            $table->timestamp('disabled_at')->nullable();
            $table->timestamps();
        });
        // Append-only.
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('outcome', 40);
            $table->string('address', 45);
            $table->string('agent', 200);
            $table->timestamp('created_at')->index();
        });
        // As a package laid them out that was used then.
        Schema::create('permissions', function (Blueprint $table): void {
            $table->bigIncrements('id');
            $table->string('name');
            $table->string('guard_name');
            $table->timestamps();
            $table->unique(['name', 'guard_name']);
        });
        Schema::create('roles', function (Blueprint $table): void {
            $table->bigIncrements('id');
            $table->string('name');
            $table->string('guard_name');
            $table->timestamps();
            $table->unique(['name', 'guard_name']);
        });
        foreach (['permission', 'role'] as $what) {
            Schema::create("model_has_{$what}s", function (Blueprint $table) use ($what): void {
                $table->unsignedBigInteger("{$what}_id");
                $table->string('model_type');
                $table->unsignedBigInteger('model_id');
                $table->index(['model_id', 'model_type']);
                $table
                    ->foreign("{$what}_id")
                    ->references('id')
                    ->on("{$what}s")
                    ->cascadeOnDelete();
                $table->primary(["{$what}_id", 'model_id', 'model_type']);
            });
        }
        Schema::create('role_has_permissions', function (Blueprint $table): void {
            $table->foreignId('permission_id')->constrained()->cascadeOnDelete();
            $table->foreignId('role_id')->constrained()->cascadeOnDelete();
            $table->primary(['permission_id', 'role_id']);
        });
        foreach (['lead', 'technician', 'viewer'] as $role) {
            DB::table('roles')->insert(['name' => $role, 'guard_name' => 'web']);
        }
    }
};
