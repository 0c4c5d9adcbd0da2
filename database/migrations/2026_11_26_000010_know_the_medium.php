<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('runs', function (Blueprint $table): void {
            // What lay in the slot when the run was ordered: the run begins only on that.
            $table->json('medium')->nullable()->after('slot_id');
            // The medium's own serial number, where it told one: by it a card is recognised in another slot.
            $table->string('medium_serial', 120)->nullable()->index()->after('medium');
        });
        Schema::table('erasures', function (Blueprint $table): void {
            // What the path led to: lines of before knew only the path.
            $table->json('medium')->nullable()->after('path');
        });
        Schema::table('slots', function (Blueprint $table): void {
            // What the station last saw in it, and when.
            $table->json('seen')->nullable();
            $table->timestamp('seen_at')->nullable();
        });
    }
};
