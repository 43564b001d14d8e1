<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** Draws the state of a planter up again from the record alone, and says how many lines were otherwise. */
final readonly class Rebuild
{
    public function __construct(private Change $change)
    {
    }

    public function __invoke(Planter $planter): int
    {
        /** @var array<class-string<Model>, array<string, int>> $before */
        $before = [];

        return $this->change->of(
            $planter,
            static function (Planter $planter, Affected $affected) use (&$before): Planter {
                foreach (Projections::models() as $model) {
                    $before[$model] = self::lines($model, $planter);
                    self::of($model, $planter)->delete();
                }
                $affected->everything = true;

                return $planter;
            },
            then: static function (Planter $planter) use (&$before): int {
                return array_sum(array_map(static fn (string $model): int => self::differences($before[$model], self::lines($model, $planter)), Projections::models()));
            },
        );
    }

    /**
     * @param  class-string<Model>  $model
     * @return Builder<covariant Model>
     */
    private static function of(string $model, Planter $planter): Builder
    {
        return method_exists($model, 'walk')
            ? $model::query()->whereIn('walk_id', $planter->walks()->toBase()->select('id'))
            : $model::query()->where('planter_id', $planter->id);
    }

    /**
     * @param  class-string<Model>  $model
     * @return array<array-key, int> each line as text, with how often it stands
     */
    private static function lines(string $model, Planter $planter): array
    {
        $table = (new $model)->getTable();

        return array_count_values(self::of($model, $planter)->toBase()->selectRaw("{$table}::text AS line")->pluck('line')->all());
    }

    /**
     * @param  array<string, int>  $before
     * @param  array<string, int>  $after
     */
    private static function differences(array $before, array $after): int
    {
        $different = 0;
        foreach (array_keys($before + $after) as $line) {
            $different += abs(($before[$line] ?? 0) - ($after[$line] ?? 0));
        }

        return $different;
    }
}
