<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Seed\Lots;
use App\Models\Bench\BenchRun;
use App\Models\Planter;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Meter\Stage;

/** Runs of the meters of one planter on a test stand, by their counts. */
#[Declared(BenchRun::class, item: 'bench.item', gone: 'bench.gone', when: 'bench.when')]
final readonly class BenchRuns implements Kind
{
    use EventDefaults;

    public const FEWEST = 100;

    /** Of a hundred places that came past a stand, those before the first seed and behind the last tell nothing. */
    public const FEWEST_STREAMED = 90;

    public const MOST = 5000;

    /** Cells of a disc that is turned by hand. */
    private const FEWEST_LOOKED = 4;

    /** @param  int  $fewest  places that a run has to have */
    public function __construct(
        private Planter $planter,
        private int $fewest = self::FEWEST,
    ) {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $isLook = $fields->flag('look', 'refused.unknown_flag');
        $places = $fields->whole('places', $isLook ? self::FEWEST_LOOKED : ($envelope->withdrawn ? self::FEWEST_STREAMED : $this->fewest), self::MOST, $isLook ? 'bench.looked' : 'bench.places') ?? throw Refused::because('places', $isLook ? 'bench.looked' : 'bench.places');
        $skips = $fields->whole('skips', 0, $places, 'bench.counts') ?? throw Refused::because('skips', 'bench.counts');
        $doubles = $fields->whole('doubles', 0, $places - $skips, 'bench.counts') ?? throw Refused::because('doubles', 'bench.counts');

        $seed = trim($fields->text('seed', BenchSetUp::LONGEST, 'bench.seed'));

        return [
            'row_number' => $fields->whole('row', 1, $this->planter->row_count, 'bench.row') ?? throw Refused::because('row', 'bench.row'),
            'stage' => ($fields->oneOf('stage', Stage::class, 'bench.stage') ?? throw Refused::because('stage', 'bench.stage'))->value,
            'places' => $places,
            'skips' => $skips,
            'doubles' => $doubles,
            'seed' => $seed,
            'seed_lot_id' => $seed === '' ? null : Lots::of($this->planter->workshop_id)->named($seed)?->id,
            ...BenchSetUp::of($fields, $this->planter, $envelope->at()),
            'part_of' => $envelope->withdrawn ? null : $this->firstPart($fields),
            'is_look' => $isLook,
            'is_partial' => $fields->flag('partial', 'refused.unknown_flag'),
        ];
    }

    /**
     * The part before the vacuum was changed.
     *
     * @throws Refused where it is no run of this row, or had the same vacuum
     */
    private function firstPart(Fields $fields): ?string
    {
        $id = $fields->idOr('part_of', 'bench.part_of');
        $first = $id === null ? null : BenchRun::query()->where(['planter_id' => $this->planter->id, 'is_look' => false, 'withdrawn' => false])->whereNull('part_of')->find($id);
        $air = BenchSetUp::air($fields);
        if ($id !== null && ($first === null || $first->row_number !== $fields->whole('row', 1, $this->planter->row_count, 'bench.row') || $fields->flag('look', 'refused.unknown_flag'))) {
            throw Refused::because('part_of', 'bench.part_of');
        }
        if ($first !== null && ($air === null || $first->air === null || (float) $air === (float) $first->air)) {
            throw Refused::because('air', 'bench.part_air');
        }

        return $first?->id;
    }
}
