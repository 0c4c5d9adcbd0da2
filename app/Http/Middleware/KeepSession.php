<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * The session, which what is asked while somebody types only reads: written back, it would take along the complaints that
 * a form sent at the same moment has just left in it for its page.
 */
final class KeepSession extends StartSession
{
    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if (! $request->isJson() || $request->hasHeader('X-Inertia')) {
            parent::saveSession($request);
        }
    }
}
