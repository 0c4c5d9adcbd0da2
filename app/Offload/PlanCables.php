<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Kit\Reader;

/** Which cable each reader usually hangs on. */
final readonly class PlanCables
{
    /** @return array<string, string> reader → cable, by their tags; none for a reader without one */
    public static function byReader(): array
    {
        $cables = [];
        foreach (Reader::query()->with('cable')->whereNotNull('cable_id')->get() as $reader) {
            $cables[$reader->tag] = $reader->cable->tag ?? '';
        }

        return $cables;
    }
}
