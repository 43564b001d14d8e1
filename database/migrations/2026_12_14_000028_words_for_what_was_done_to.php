<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What something was done to, by whom, and whose a token is stood as names of classes: now as words that no move of a class changes. */
return new class extends Migration
{
    private const COLUMNS = ['activity_log' => ['subject_type', 'causer_type'], 'personal_access_tokens' => ['tokenable_type']];

    public function up(): void
    {
        foreach (self::COLUMNS as $table => $columns) {
            foreach ($columns as $column) {
                // App\Models\PartType becomes partType
                DB::statement("UPDATE {$table} SET {$column} = lower(substr({$column}, 12, 1)) || substr({$column}, 13) WHERE {$column} LIKE 'App\\\\Models\\\\%'");
            }
        }
    }
};
