<?php

declare(strict_types=1);

namespace App\Yard\FirstDay;

use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Change;
use Carbon\CarbonImmutable;
use Closure;
use Database\Demo\DemoScenario;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use stdClass;

/** A made-up planter to play with, one in a shop: it counts nowhere outside its own screens, and goes in one step with all that was done on it. */
final readonly class SamplePlanter
{
    public function __construct(private DemoScenario $scenario, private Change $change)
    {
    }

    /** @throws ValidationException where there is one */
    public function add(User $user): Planter
    {
        try {
            return DB::transaction(fn (): Planter => $this->scenario->sample($user, CarbonImmutable::parse($user->workshop->today()->iso)));
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['sample' => __('first_day.has_sample')]);
        }
    }

    /** Where there is none, nothing happens. */
    public function remove(User $user): void
    {
        // The shop is held, too: who changes what all of its planters share would miss one on the way.
        $this->change->ofWorkshop($user->workshop_id, static function (Workshop $workshop, Closure $change): void {
            $planter = $workshop->planters()->where('is_sample', true)->first();
            if ($planter !== null) {
                // Pictures that no record names are tidied away at night.
                $change($planter, static fn (Planter $of) => self::delete('planters', 'id = ?', [$of->id]));
            }
        });
    }

    /**
     * Deletes lines of a table, and before them all that hang on them.
     *
     * @param  list<int>  $bindings
     */
    private static function delete(string $table, string $where, array $bindings): void
    {
        $children = DB::select(<<<'SQL'
            SELECT conrelid::regclass::text AS child, own.attname AS names, other.attname AS named
            FROM pg_constraint
            JOIN pg_attribute own ON own.attrelid = conrelid AND own.attnum = conkey[1]
            JOIN pg_attribute other ON other.attrelid = confrelid AND other.attnum = confkey[1]
            WHERE contype = 'f' AND confrelid = ?::regclass AND conrelid <> confrelid
            SQL, [$table]);
        foreach ($children as $of) {
            assert($of instanceof stdClass);
            self::delete($of->child, "{$of->names} IN (SELECT {$of->named} FROM {$table} WHERE {$where})", $bindings);
        }
        DB::delete("DELETE FROM {$table} WHERE {$where}", $bindings);
    }
}
