<?php

declare(strict_types=1);

use App\Models\Ledger\BookLine;

return [
    'enabled' => true,
    // Lines are never cleaned away: this is as far as the number goes.
    'delete_records_older_than_days' => 365 * 1000,
    'default_log_name' => 'books',
    'default_auth_driver' => null,
    'subject_returns_soft_deleted_models' => false,
    'activity_model' => BookLine::class,
    'table_name' => 'activity_log',
    'database_connection' => null,
];
