<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('suppliers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->text('name');
            $table->text('notes')->default('');
            // By part type: price, lead time, and since when.
            $table->jsonb('prices')->default('[]');
            // Where its parts counter is asked, what it said last, and why it could not the last time.
            $table->text('counter')->nullable();
            $table->jsonb('answers')->default('[]');
            $table->timestampTz('answered_at', 3)->nullable();
            $table->text('fault')->nullable();
            $table->text('fault_about')->default('');
            $table->timestampTz('failed_at', 3)->nullable();
            $table->integer('revision')->default(0);
            $table->timestampsTz();
        });
        DB::statement('CREATE UNIQUE INDEX suppliers_name_in_workshop ON suppliers (workshop_id, lower(name))');
        Schema::create('orders', function (Blueprint $table): void {
            $table->id();
            // Made on the device: what is sent twice is made once.
            $table->uuid('key')->unique();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('supplier_id')->nullable()->constrained();
            $table->text('state');
            $table->text('note')->default('');
            // By part type: how many, the price then, and how many have come.
            $table->jsonb('lines');
            $table->date('ordered_on')->nullable();
            $table->date('expected_on')->nullable();
            $table->foreignId('user_id')->constrained();
            $table->integer('revision')->default(1);
            $table->timestampsTz();
            $table->index(['workshop_id', 'state']);
        });
        DB::statement("ALTER TABLE orders ADD CHECK (state IN ('draft', 'ordered', 'closed')), ADD CHECK (state = 'draft' OR ordered_on IS NOT NULL)");
    }
};
