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
        Schema::table('cards', function (Blueprint $table): void {
            // When anything that the tray shows of it changed last, to the microsecond: pages ask for what came after.
            $table->dateTime('changed_at', 6)->nullable()->index();
        });
        // In the database, so that no way of writing is forgotten.
        DB::unprepared('CREATE TRIGGER cards_are_new BEFORE INSERT ON cards FOR EACH ROW SET NEW.changed_at = NOW(6)');
        DB::unprepared('CREATE TRIGGER cards_change BEFORE UPDATE ON cards FOR EACH ROW SET NEW.changed_at = NOW(6)');
        DB::unprepared(
            'CREATE TRIGGER runs_are_new AFTER INSERT ON runs FOR EACH ROW UPDATE cards SET changed_at = NOW(6) WHERE id = NEW.card_id',
        );
        DB::unprepared(
            'CREATE TRIGGER runs_change AFTER UPDATE ON runs FOR EACH ROW IF NEW.state <> OLD.state THEN UPDATE cards SET '.
            'changed_at = NOW(6) WHERE id = NEW.card_id; END IF',
        );
        DB::unprepared(
            'CREATE TRIGGER runs_go AFTER DELETE ON runs FOR EACH ROW UPDATE cards SET changed_at = NOW(6) WHERE id = OLD.card_id',
        );
        DB::table('cards')->update(['changed_at' => DB::raw('NOW(6)')]);
    }
};
