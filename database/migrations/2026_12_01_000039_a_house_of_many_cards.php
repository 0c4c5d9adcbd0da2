<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('cards', function (Blueprint $table): void {
            // What the tray is searched by; kept in an index, so that no card has to be read for it.
            $table
                ->string('found_by', 160)
                ->collation('utf8mb4_bin')
                ->storedAs("lower(concat(tag, ' ', line, ' ', verdict))")
                ->invisible();
            $table->index(['tag', 'found_by'], 'cards_in_the_tray');
            // All that each page counts, and all that is asked of a lot.
            $table->dropIndex('cards_on_the_line');
            $table->index(['next_step', 'footage', 'overruled', 'verdict', 'retired_on', 'due_on'], 'cards_on_the_line');
            $table->index(['footage', 'tag']);
            $table->index(['retired_on', 'keeps_up', 'tag']);
            $table->dropIndex(['retired_on']);
            $table->dropIndex(['lot_key']);
            $table->index(['lot_key', 'overruled', 'verdict']);
        });
        Schema::table('runs', function (Blueprint $table): void {
            $table->index(['state', 'card_id']);
            // What a report counts of a time.
            $table->index(['ended_at', 'kind', 'card_id', 'started_at'], 'runs_of_a_time');
        });
    }
};
