<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A row of the books. */
abstract class Row extends Model
{
    use BootsByName;
}
