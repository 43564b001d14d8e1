<?php

declare(strict_types=1);

namespace App\Bench\Stand;

use App\Bench\BenchRuns;
use App\Bench\BenchSetUp;
use App\Models\Bench\StandRun;
use App\Models\Planter;
use App\Models\User;
use App\Record\Fields;
use App\Record\Moments;
use App\Record\Refused;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Meter\RunSetUp;
use Ustrel\Core\Meter\Stage;

/** Sets a run up: it waits for a stand, or for the made-up one, or its seeds are handed over as a file. */
final readonly class PrepareRun
{
    private const MOST_TURNS = 300;

    private const SIZES = [1.0, 20.0];

    /**
     * @throws Refused
     */
    public function __invoke(User $by, Planter $planter, Fields $fields): StandRun
    {
        $id = $fields->id();
        $known = StandRun::query()->find($id);
        if ($known !== null) {
            return $known->planter_id === $planter->id ? $known : throw Refused::because('id', 'refused.id_taken');
        }
        $run = $this->read($fields, $planter) + ['id' => $id, 'planter_id' => $planter->id, 'user_id' => $by->id, 'state' => 'waiting', 'made_at' => CarbonImmutable::now()];
        try {
            return DB::transaction(static fn (): StandRun => StandRun::query()->create($run)->refresh());
        } catch (UniqueConstraintViolationException) {
            // Sent twice at once it is the same; another is under way otherwise.
            return StandRun::query()->where('planter_id', $planter->id)->find($id) ?? throw Refused::because('row', 'stand.under_way');
        }
    }

    /** @return array<string, mixed> */
    private function read(Fields $fields, Planter $planter): array
    {
        $row = $fields->whole('row', 1, $planter->row_count, 'bench.row') ?? throw Refused::because('row', 'bench.row');
        $setUp = BenchSetUp::of($fields, $planter, Moments::now());
        $cells = $setUp['cells'] ?? throw Refused::because('cells', 'stand.cells');

        return [
            'row_number' => $row,
            'stage' => $fields->oneOf('stage', Stage::class, 'bench.stage') ?? throw Refused::because('stage', 'bench.stage'),
            'seed' => trim($fields->text('seed', BenchSetUp::LONGEST, 'bench.seed')),
            ...$setUp,
            ...self::turns($fields, $planter, $cells, $setUp['population'], $setUp['mph']),
            'places' => $fields->whole('places', BenchRuns::FEWEST, BenchRuns::MOST, 'bench.places') ?? throw Refused::because('places', 'bench.places'),
            'practice' => $fields->flag('practice', 'refused.unknown_flag') ? self::practice($fields) : null,
        ];
    }

    /**
     * Turns of the disc and the speed that they stand for: either gives the other.
     *
     * @return array{turns: float|null, mph: float|null}
     *
     * @throws Refused
     */
    private static function turns(Fields $fields, Planter $planter, int $cells, ?int $population, ?string $mph): array
    {
        [$turns, $mph] = [$fields->number('turns', 'stand.turns'), $mph === null ? null : (float) $mph];
        $width = $planter->plantedSpacing()->toInches();
        if ($population !== null) {
            [$turns, $mph] = [
                $turns ?? ($mph === null ? null : RunSetUp::rpm($population, $width, $mph, $cells)),
                $mph ?? ($turns === null ? null : round(RunSetUp::mph($population, $width, $turns, $cells), 1)),
            ];
        }
        if ($turns !== null && ($turns < 1 || $turns > self::MOST_TURNS)) {
            throw Refused::because('turns', 'stand.turns');
        }
        if ($mph !== null && ! BenchSetUp::isSpeed($mph)) {
            throw Refused::because('turns', 'bench.rpm');
        }

        return ['turns' => $turns === null ? null : round($turns, 2), 'mph' => $mph];
    }

    /** @return array{size: float, leak: float, plugged: bool, fault: string, number: int} */
    private static function practice(Fields $fields): array
    {
        $size = $fields->number('size', 'stand.size') ?? 5.0;
        if ($size < self::SIZES[0] || $size > self::SIZES[1]) {
            throw Refused::because('size', 'stand.size');
        }
        $fault = $fields->text('fault', 20, 'stand.fault');
        if ($fault !== '' && ! in_array($fault, PracticeStand::FAULTS, true)) {
            throw Refused::because('fault', 'stand.fault');
        }

        return ['size' => $size, 'leak' => $fields->flag('worn', 'refused.unknown_flag') ? 1.0 : 0.0, 'plugged' => $fields->flag('plugged', 'refused.unknown_flag'), 'fault' => $fault ?: 'none', 'number' => random_int(1, 1_000_000)];
    }
}
