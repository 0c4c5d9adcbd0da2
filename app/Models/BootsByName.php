<?php

declare(strict_types=1);

namespace App\Models;

use ReflectionMethod;

/**
 * Makes a model ready by the names of its traits alone. The framework's own way also asks each of its 350 methods for
 * attributes, which nothing here has: a third of a millisecond for each model of a page.
 *
 * @mixin \Illuminate\Database\Eloquent\Model
 */
trait BootsByName
{
    protected static function bootTraits(): void
    {
        $initializers = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, "boot{$name}")) {
                (new ReflectionMethod(static::class, "boot{$name}"))->invoke(null);
            }
            if (method_exists(static::class, "initialize{$name}")) {
                $initializers[] = "initialize{$name}";
            }
        }
        static::$traitInitializers[static::class] = array_values(array_unique($initializers));
    }
}
