<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Seed\Lots;
use App\Models\Bench\BenchRun;
use App\Models\Planter;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\KindWording;
use App\Record\Refused;
use App\Record\Touched;
use Ustrel\Core\Meter\RunSetUp;
use Ustrel\Core\Meter\Stage;

/** Runs of the meters of one planter on a test stand, by their counts. */
final readonly class BenchRuns implements Kind
{
    public const FEWEST = 100;

    /** Of a hundred places that came past a stand, those before the first seed and behind the last tell nothing. */
    public const FEWEST_STREAMED = 90;

    public const MOST = 5000;

    private const LEAST_AIR = 0.5;

    private const MOST_AIR = 60;

    /** Cells of a disc that is turned by hand. */
    private const FEWEST_LOOKED = 4;

    private const MOST_CELLS = 400;

    private const LEAST_SEEDS = 500;

    private const MOST_SEEDS = 2_000_000;

    private const LEAST_MPH = 0.5;

    private const MOST_MPH = 20;

    public const LONGEST = 80;

    public const LONGEST_NOTE = 300;

    /** @param  int  $fewest  places that a run has to have */
    public function __construct(
        private Planter $planter,
        private int $fewest = self::FEWEST,
    ) {
    }

    public function model(): string
    {
        return BenchRun::class;
    }

    public function canSupersede(): bool
    {
        return true;
    }

    public function takesBack(array $row): bool
    {
        return $row['withdrawn'];
    }

    public function wording(): KindWording
    {
        return new KindWording('bench.item', 'bench.gone');
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $withdrawn = $fields->flag('withdrawn', 'refused.unknown_flag');
        if ($withdrawn && $envelope->supersedes === null) {
            throw Refused::because('supersedes', 'bench.gone');
        }
        $isLook = $fields->flag('look', 'refused.unknown_flag');
        $places = $fields->whole('places', $isLook ? self::FEWEST_LOOKED : ($withdrawn ? self::FEWEST_STREAMED : $this->fewest), self::MOST, $isLook ? 'bench.looked' : 'bench.places') ?? throw Refused::because('places', $isLook ? 'bench.looked' : 'bench.places');
        $skips = $fields->whole('skips', 0, $places, 'bench.counts') ?? throw Refused::because('skips', 'bench.counts');
        $doubles = $fields->whole('doubles', 0, $places - $skips, 'bench.counts') ?? throw Refused::because('doubles', 'bench.counts');

        $seed = trim($fields->text('seed', self::LONGEST, 'bench.seed'));

        return [
            'row_number' => $fields->whole('row', 1, $this->planter->row_count, 'bench.row') ?? throw Refused::because('row', 'bench.row'),
            'stage' => ($fields->oneOf('stage', Stage::class, 'bench.stage') ?? throw Refused::because('stage', 'bench.stage'))->value,
            'places' => $places,
            'skips' => $skips,
            'doubles' => $doubles,
            'seed' => $seed,
            'seed_lot_id' => $seed === '' ? null : Lots::of($this->planter->workshop_id)->named($seed)?->id,
            'disc' => trim($fields->text('disc', self::LONGEST, 'bench.disc')),
            'air' => self::air($fields),
            ...$this->speed($fields),
            'singulator' => trim($fields->text('singulator', self::LONGEST, 'bench.singulator')),
            'lubricant' => trim($fields->text('lubricant', self::LONGEST, 'bench.lubricant')),
            'note' => $fields->text('note', self::LONGEST_NOTE, 'bench.note'),
            'happened_at' => $fields->moment('happened_at', 'bench.when', 'bench.when')->toIso(),
            'is_look' => $isLook,
            'is_partial' => $fields->flag('partial', 'refused.unknown_flag'),
            'withdrawn' => $withdrawn,
        ];
    }

    /**
     * How fast it ran: by the speed that it stands for, or by the turns of the disc.
     *
     * @return array{cells: int|null, population: int|null, mph: string|null}
     */
    private function speed(Fields $fields): array
    {
        $cells = $fields->whole('cells', 1, self::MOST_CELLS, 'stand.cells');
        $population = $fields->whole('population', self::LEAST_SEEDS, self::MOST_SEEDS, 'bench.population');
        [$mph, $rpm] = [$fields->number('mph', 'bench.mph'), $fields->number('rpm', 'bench.rpm')];
        if ($mph === null && $rpm !== null) {
            $mph = $cells === null || $population === null || $rpm <= 0 ? throw Refused::because('rpm', 'bench.rpm') : RunSetUp::mph($population, $this->planter->spacing()->toInches(), $rpm, $cells);
        }
        if ($mph !== null && ($mph < self::LEAST_MPH || $mph > self::MOST_MPH)) {
            throw Refused::because($fields->has('mph') ? 'mph' : 'rpm', $fields->has('mph') ? 'bench.mph' : 'bench.rpm');
        }

        return ['cells' => $cells, 'population' => $population, 'mph' => $mph === null ? null : number_format($mph, 1, '.', '')];
    }

    /** Inches of water, to a tenth; null where none is said. */
    public static function air(Fields $fields): ?string
    {
        $air = $fields->number('air', 'bench.air');

        return match (true) {
            $air === null => null,
            $air < self::LEAST_AIR || $air > self::MOST_AIR || abs($air - round($air, 1)) > 1e-9 => throw Refused::because('air', 'bench.air'),
            default => number_format($air, 1, '.', ''),
        };
    }

    public function touch(array $rows, array $superseded, Touched $touched): void
    {
        // It is analysed when it is asked for.
    }
}
