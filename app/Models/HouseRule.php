<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * What the house goes by instead of the default, and who said so.
 *
 * @property string $name
 * @property string $value
 * @property string $by
 * @property Carbon $changed_at
 * @property string|null $why
 */
final class HouseRule extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['changed_at' => 'datetime'];

    /**
     * @param  array<string, string>  $values  by name
     * @param  array<string, string>  $standards  what holds where nothing was kept
     * @return bool whether one is another than before
     */
    public static function keep(array $values, array $standards, string $by, ?string $why): bool
    {
        $changed = false;
        foreach ($values as $name => $value) {
            $rule = self::query()->find($name) ?? new self(['name' => $name]);
            if (($rule->exists ? $rule->value : $standards[$name]) !== $value) {
                $rule->forceFill(['value' => $value, 'by' => $by, 'changed_at' => now(), 'why' => $why])->save();
                $changed = true;
            }
        }

        return $changed;
    }
}
