<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Season;

return new class extends Migration
{
    public function up(): void
    {
        // A few entries that are only ever read with their planter.
        Schema::table('planters', static fn (Blueprint $table) => $table->jsonb('formerly_parked')->default('[]'));
        // Until now rows that are parked counted as parked for their season.
        $planters = DB::table('planters')->join('workshops', 'workshops.id', 'workshop_id')->where('parked_rows', '!=', '[]')->get(['planters.id', 'planting_start', 'time_zone']);
        foreach ($planters as $planter) {
            $zone = new DateTimeZone($planter->time_zone);
            $start = $planter->planting_start === null ? null : Day::of($planter->planting_start);
            $season = $start?->year() ?? (int) CarbonImmutable::now($zone)->format('Y');
            $begins = Season::startingOn($start)->begins($season)->plusDays(-1)->end($zone);
            DB::table('planters')->where('id', $planter->id)->update(['formerly_parked' => json_encode([['until' => $begins->toIso(), 'rows' => []]], JSON_THROW_ON_ERROR)]);
        }
    }

    public function down(): void
    {
        Schema::table('planters', static fn (Blueprint $table) => $table->dropColumn('formerly_parked'));
    }
};
