<?php

declare(strict_types=1);

use App\Record\Kind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** @return list<string> tables of all kinds of events that the code knows */
function eventTables(): array
{
    $tables = [];
    foreach (File::allFiles(app_path()) as $file) {
        $class = 'App\\'.strtr($file->getRelativePathname(), ['/' => '\\', '.php' => '']);
        if (class_exists($class) && is_subclass_of($class, Kind::class)) {
            $model = (new ReflectionClass($class))->newInstanceWithoutConstructor()->model();
            $tables[] = (new $model)->getTable();
        }
    }

    return $tables;
}

it('lets the database refuse a change to an event of any kind', function (): void {
    $held = array_column(DB::select("SELECT relname FROM pg_trigger JOIN pg_class ON pg_class.oid = tgrelid WHERE tgname = 'event_stays'"), 'relname');
    expect(eventTables())->toHaveCount(17)->and(array_diff(eventTables(), $held))->toBe([])->and(array_diff($held, eventTables()))->toBe([]);
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
