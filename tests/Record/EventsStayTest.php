<?php

declare(strict_types=1);

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\EventKinds;

it('lets the database refuse a change to an event of any kind', function (): void {
    $held = array_column(DB::select("SELECT relname FROM pg_trigger JOIN pg_class ON pg_class.oid = tgrelid WHERE tgname = 'event_stays'"), 'relname');
    // An alarm comes from the device's own figures, and not through the inbox.
    expect(EventKinds::tables())->toHaveCount(18)->and(array_diff(EventKinds::tables(), $held))->toBe([])->and(array_values(array_diff($held, EventKinds::tables())))->toBe(['watch_alarms']);
});

it('changes nothing of what was recorded, but may take it back', function (): void {
    $planter = $this->planter();
    $this->actingAs($this->technician);
    $this->logAcres($planter, '2026-03-01', 40)->assertCreated();
    expect(fn () => DB::transaction(fn () => DB::table('acres_log')->update(['acres' => 41])))->toThrow(QueryException::class, 'an event of acres_log stays as it was recorded')
        ->and((float) DB::table('acres_log')->value('acres'))->toBe(40.0);
    DB::table('acres_log')->update(['withdrawn' => true, 'severity' => 1.5]);
    expect(DB::table('acres_log')->value('withdrawn'))->toBeTrue();
});
