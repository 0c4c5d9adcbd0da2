<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** They lay on the disk of the bench that took them, where no other bench could show them. */
return new class extends Migration
{
    public function up(): void
    {
        // Of 2000 pixels a side: a few megabytes at the most. None where it lies on the disk of another bench still.
        DB::statement('ALTER TABLE photos ADD jpeg MEDIUMBLOB NULL AFTER side, MODIFY file VARCHAR(120) NULL');
        foreach (DB::table('photos')->pluck('file', 'id') as $id => $file) {
            if (is_string($file) && Storage::exists($file)) {
                DB::table('photos')
                    ->where('id', $id)
                    ->update(['jpeg' => Storage::get($file), 'file' => null]);
                Storage::delete($file);
            }
        }
    }
};
