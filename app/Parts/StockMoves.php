<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use App\Models\Workshop;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\KindWording;
use App\Record\Refused;
use App\Record\Touched;
use Ustrel\Core\Parts\Stock\StockMoveKind;

/** What came onto the shelf of a workshop, or went from it. */
final readonly class StockMoves implements Kind
{
    private const MOST = 100_000;

    private const LONGEST = 200;

    public function __construct(private Workshop $workshop)
    {
    }

    public function model(): string
    {
        return StockMove::class;
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
        return new KindWording('stock.item', 'stock.gone');
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $withdrawn = $fields->flag('withdrawn', 'refused.unknown_flag');
        if ($withdrawn && $envelope->supersedes === null) {
            throw Refused::because('supersedes', 'stock.gone');
        }
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
            'happened_at' => $fields->moment('happened_at', 'stock.when', 'stock.when')->toIso(),
            'withdrawn' => $withdrawn,
        ];
    }

    public function touch(array $rows, array $superseded, Touched $touched): void
    {
        // What is on the shelf is added up when it is asked for.
    }
}
