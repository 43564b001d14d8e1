<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A draft that is thrown away is closed and was never ordered. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("ALTER TABLE orders DROP CONSTRAINT orders_check, ADD CONSTRAINT orders_ordered_on CHECK (state <> 'ordered' OR ordered_on IS NOT NULL)");
    }
};
