<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\ViewErrorBag;

/** What was said under the fields of a form. */
trait Complaints
{
    /** @return array<string, list<string>> field → sentences */
    private function complaints(): array
    {
        $errors = session('errors');
        $complaints = [];
        foreach ($errors instanceof ViewErrorBag ? $errors->getBag('default')->getMessages() : [] as $field => $sentences) {
            $complaints[(string) $field] = array_values(array_filter((array) $sentences, is_string(...)));
        }

        return $complaints;
    }
}
