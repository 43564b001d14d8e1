<?php

declare(strict_types=1);

namespace App\Bench\Meters;

use App\Models\Bench\Meter;
use App\Models\Bench\MeterMove;
use App\Models\Planter;
use App\Models\Workshop;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Meter\Places\MeterTo;

/** Where the meters of a workshop were put: into a row of one of its planters, on the shelf, or out to a stand elsewhere. */
#[Declared(MeterMove::class, item: 'meters.item', gone: 'meters.gone', when: 'stock.when')]
final readonly class MeterMoves implements Kind
{
    use EventDefaults;

    private const LONGEST = 120;

    public function __construct(private Workshop $workshop)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
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
        ];
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
