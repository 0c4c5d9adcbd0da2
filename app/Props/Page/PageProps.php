<?php

declare(strict_types=1);

namespace App\Props\Page;

/** All that a page shows; `ProvePageProps` is that of resources/js/pages/Prove.tsx. */
interface PageProps {}
