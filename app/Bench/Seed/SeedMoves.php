<?php

declare(strict_types=1);

namespace App\Bench\Seed;

use App\Models\Bench\SeedLot;
use App\Models\Bench\SeedMove;
use App\Models\Workshop;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** Units of seed that came to a workshop, or went from it. */
#[Declared(SeedMove::class, item: 'seed.item', gone: 'seed.gone', when: 'stock.when')]
final readonly class SeedMoves implements Kind
{
    use EventDefaults;

    private const MOST = 100_000;

    private const LONGEST = 200;

    public function __construct(private Workshop $workshop)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $lot = $fields->whole('seed_lot_id', 1, PHP_INT_MAX, 'seed.lot');
        if ($lot === null || ! SeedLot::query()->where('workshop_id', $this->workshop->id)->whereKey($lot)->exists()) {
            throw Refused::because('seed_lot_id', 'seed.lot');
        }
        $kind = $fields->oneOf('kind', StockMoveKind::class, 'stock.kind') ?? throw Refused::because('kind', 'stock.kind');
        $units = $fields->number('units', 'seed.units') ?? throw Refused::because('units', 'seed.units');
        $tenths = (int) round(10 * $units);
        if ($units < 0 || $units > self::MOST || abs($tenths / 10 - $units) > 1e-9 || ($tenths === 0 && $kind !== StockMoveKind::Counted)) {
            throw Refused::because('units', 'seed.units');
        }

        return [
            'seed_lot_id' => $lot,
            'kind' => $kind->value,
            'tenths' => $tenths,
            'note' => $fields->text('note', self::LONGEST, 'bench.note'),
        ];
    }
}
