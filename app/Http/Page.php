<?php

declare(strict_types=1);

namespace App\Http;

use App\Props\Page\PageProps;
use Inertia\Inertia;
use Inertia\Response;

/** Answers with a page: its props are one class, and the class says which page it is. */
final readonly class Page
{
    public static function show(PageProps $props): Response
    {
        return Inertia::render(substr(class_basename($props), 0, -strlen('PageProps')), get_object_vars($props));
    }
}
