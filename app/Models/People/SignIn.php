<?php

declare(strict_types=1);

namespace App\Models\People;

use App\Models\Row;
use Illuminate\Support\Carbon;

/**
 * That somebody signed in, or tried to. Lines are only ever added.
 *
 * @property int $id
 * @property string $name as it was typed
 * @property SignInOutcome $outcome
 * @property string $address
 * @property string $agent
 * @property Carbon $created_at
 */
final class SignIn extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['outcome' => SignInOutcome::class, 'created_at' => 'datetime'];
}
