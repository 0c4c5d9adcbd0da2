<?php

declare(strict_types=1);

namespace App\Props\Page;

/** All that the page SignIn shows. */
final readonly class SignInPageProps implements PageProps
{
    /**
     * @param  string  $to  the page that was asked for
     */
    public function __construct(
        public string $to,
    ) {}
}
