<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use Ustrel\Core\Measure\Day;

/** What stands on the fields that a planter planted, by its log; on those of the season that nobody has logged yet, by its plan. */
final readonly class PlantedThere
{
    /** @param  array<string, array{crop: string, acres: float}>  $fields  by season and name */
    private function __construct(
        private Planter $planter,
        private array $fields,
    ) {
    }

    public static function by(Planter $planter): self
    {
        $fields = [];
        foreach (SeasonPlan::query()->where('planter_id', $planter->id)->get() as $plan) {
            foreach ($plan->fields as $field) {
                $fields[self::key($plan->season, $field['name'])] = ['crop' => (string) $field['crop'], 'acres' => (float) $field['acres']];
            }
        }
        $logged = [];
        foreach (AcresEntry::current($planter->id)->planted()->orderBy('day')->get(['field', 'crop', 'acres', 'day']) as $line) {
            $key = self::key($planter->seasons()->of($line->day), $line->field);
            $logged[$key] = ['crop' => $line->crop ?? $logged[$key]['crop'] ?? $fields[$key]['crop'] ?? '', 'acres' => ($logged[$key]['acres'] ?? 0.0) + (float) $line->acres];
        }

        return new self($planter, $logged + $fields);
    }

    /** @return array{crop: string, acres: float}|null null where nobody said */
    public function on(string $field, Day $planted): ?array
    {
        return $this->fields[self::key($this->planter->seasons()->of($planted), $field)] ?? null;
    }

    private static function key(int $season, string $field): string
    {
        return $season.' '.mb_strtolower(trim($field));
    }
}
