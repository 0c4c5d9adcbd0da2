<?php

declare(strict_types=1);

/** What a form says where nothing more can be said of a field. */
return [
    'string' => 'Text was expected here.',
    'max' => ['string' => 'This is longer than it can be (:max characters). Shorten it.'],
];
