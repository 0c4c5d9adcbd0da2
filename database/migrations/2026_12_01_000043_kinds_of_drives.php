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
        Schema::table('drives', function (Blueprint $table): void {
            $table->string('kind', 20)->default('solid')->after('capacity');
        });
        DB::statement("UPDATE drives SET kind = CASE WHEN spinning THEN 'spinning' WHEN cache > 0 THEN 'cached' ELSE 'solid' END");
        Schema::table('drives', fn (Blueprint $table) => $table->dropColumn('spinning'));
    }
};
