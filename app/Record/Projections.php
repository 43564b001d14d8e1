<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use App\Parts\FittingProjector;
use App\Plan\LeftFindingProjector;
use App\Walk\WalkProjector;
use App\Wear\ForecastProjector;
use App\Wear\WearRecord;
use App\Work\JobTimeProjector;
use Illuminate\Database\Eloquent\Model;

/** All projections, in the order in which one looks at another. */
final readonly class Projections
{
    /** Those of a later stage read what the earlier ones have written. */
    private const STAGES = [[FittingProjector::class, WalkProjector::class, ForecastProjector::class], [LeftFindingProjector::class, JobTimeProjector::class]];

    /** What was touched, on a planter that is held, with its spec sheet and workshop. */
    public function project(Planter $planter, Affected $affected): void
    {
        $record = new WearRecord($planter);
        $lines = new BulkWrite;
        foreach (self::STAGES as $projectors) {
            foreach ($projectors as $projector) {
                app($projector)->project($record, $affected, $lines);
            }
            $lines->write();
        }
    }

    /** @return list<class-string<Model>> */
    public static function models(): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (string $projector): array => $projector::draws(), array_merge(...self::STAGES)))));
    }
}
