<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use App\Models\Workshop;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** What came onto the shelf of a workshop, or went from it. */
#[Declared(StockMove::class, item: 'stock.item', gone: 'stock.gone', when: 'stock.when')]
final readonly class StockMoves implements Kind
{
    use EventDefaults;

    private const MOST = 100_000;

    private const LONGEST = 200;

    public function __construct(private Workshop $workshop)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $type = $fields->whole('part_type_id', 1, PHP_INT_MAX, 'stock.part');
        if ($type === null || ! PartType::query()->where('workshop_id', $this->workshop->id)->whereKey($type)->exists()) {
            throw Refused::because('part_type_id', 'stock.part');
        }
        $kind = $fields->oneOf('kind', StockMoveKind::class, 'stock.kind') ?? throw Refused::because('kind', 'stock.kind');
        [$least, $otherwise] = $kind === StockMoveKind::Counted ? [0, 'stock.counted'] : [1, 'stock.quantity'];

        return [
            'part_type_id' => $type,
            'kind' => $kind->value,
            'quantity' => $fields->whole('quantity', $least, self::MOST, $otherwise) ?? throw Refused::because('quantity', $otherwise),
            'note' => $fields->text('note', self::LONGEST, 'stock.note'),
        ];
    }
}
