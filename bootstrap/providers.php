<?php

declare(strict_types=1);

use App\Providers\AppServiceProvider;
use Tools\ToolsProvider;

return [AppServiceProvider::class, ...(class_exists(ToolsProvider::class) ? [ToolsProvider::class] : [])];
