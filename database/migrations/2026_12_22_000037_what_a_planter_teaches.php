<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a planter's record teaches becomes a projection: drawn up again after the migration, as all are. */
return new class extends Migration
{
    private const COLUMNS = ['job_minutes', 'left_findings', 'measuring'];

    public function up(): void
    {
        Schema::create('learned_sums', static function (Blueprint $table): void {
            $table->foreignId('planter_id')->constrained()->cascadeOnDelete();
            $table->text('lesson');
            $table->text('subject');
            $table->double('count');
            $table->double('total');
            $table->double('squares');
            $table->primary(['planter_id', 'lesson', 'subject']);
        });
        Schema::table('planters', static function (Blueprint $table): void {
            $table->dropColumn(self::COLUMNS);
        });
    }

    public function down(): void
    {
        Schema::table('planters', static function (Blueprint $table): void {
            foreach (self::COLUMNS as $column) {
                $table->jsonb($column)->default('{}');
            }
        });
        Schema::drop('learned_sums');
    }
};
