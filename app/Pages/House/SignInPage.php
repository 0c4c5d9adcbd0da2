<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Pages\Page;

/** All that the page SignIn shows. */
final readonly class SignInPage extends Page
{
    /**
     * @param  string  $to  the page that was asked for
     */
    public function __construct(
        public string $to,
    ) {}
}
