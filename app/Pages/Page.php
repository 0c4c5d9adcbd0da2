<?php

declare(strict_types=1);

namespace App\Pages;

use Illuminate\Contracts\Support\Responsable;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;

/**
 * All that a page shows: what its class is made of, to the letter. `ProvePage` is that of resources/js/pages/Prove.tsx, and TypeScript
 * knows it by the same name.
 */
abstract readonly class Page implements Responsable
{
    /** @param  \Illuminate\Http\Request  $request */
    public function toResponse($request): Response
    {
        return Inertia::render(substr(class_basename($this), 0, -strlen('Page')), get_object_vars($this))->toResponse($request);
    }
}
