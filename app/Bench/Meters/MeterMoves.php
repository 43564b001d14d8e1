<?php

declare(strict_types=1);

namespace App\Bench\Meters;

use App\Models\Bench\Meter;
use App\Models\Bench\MeterMove;
use App\Models\Planter;
use App\Models\Workshop;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\KindWording;
use App\Record\Refused;
use App\Record\Touched;
use Ustrel\Core\Meter\Places\MeterTo;

/** Where the meters of a workshop were put: into a row of one of its planters, on the shelf, or out to a stand elsewhere. */
final readonly class MeterMoves implements Kind
{
    private const LONGEST = 120;

    public function __construct(private Workshop $workshop)
    {
    }

    public function model(): string
    {
        return MeterMove::class;
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
        return new KindWording('meters.item', 'meters.gone');
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $withdrawn = $fields->flag('withdrawn', 'refused.unknown_flag');
        if ($withdrawn && $envelope->supersedes === null) {
            throw Refused::because('supersedes', 'meters.gone');
        }
        $meter = $fields->whole('meter_id', 1, PHP_INT_MAX, 'meters.meter');
        if ($meter === null || ! Meter::query()->where('workshop_id', $this->workshop->id)->whereKey($meter)->exists()) {
            throw Refused::because('meter_id', 'meters.meter');
        }
        $to = $fields->oneOf('to', MeterTo::class, 'meters.to') ?? throw Refused::because('to', 'meters.to');

        return [
            'meter_id' => $meter,
            'to' => $to->value,
            ...$this->row($fields, $to),
            'place' => trim($fields->text('place', self::LONGEST, 'meters.place')),
            'happened_at' => $fields->moment('happened_at', 'stock.when', 'stock.when')->toIso(),
            'withdrawn' => $withdrawn,
        ];
    }

    public function touch(array $rows, array $superseded, Touched $touched): void
    {
        // Where a meter is follows from its moves when it is asked for.
    }

    /** @return array{planter_id: int|null, row_number: int|null} */
    private function row(Fields $fields, MeterTo $to): array
    {
        if ($to !== MeterTo::Row) {
            return $fields->has('planter_id') || $fields->has('row') ? throw Refused::because('to', 'meters.to') : ['planter_id' => null, 'row_number' => null];
        }
        $planter = Planter::query()->where('workshop_id', $this->workshop->id)->whereKey($fields->whole('planter_id', 1, PHP_INT_MAX, 'meters.planter') ?? 0)->first()
            ?? throw Refused::because('planter_id', 'meters.planter');

        return ['planter_id' => $planter->id, 'row_number' => $fields->whole('row', 1, $planter->row_count, 'bench.row') ?? throw Refused::because('row', 'bench.row')];
    }
}
