<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;

/**
 * Where a workshop gets its parts.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string $notes
 * @property list<array{part_type_id: int, price: float|null, lead_days: int|null, since: string}> $prices
 * @property int $revision counts its changes
 */
final class Supplier extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $attributes = ['notes' => '', 'prices' => '[]', 'revision' => 0];

    protected $casts = ['prices' => 'array'];

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['revision'];
    }
}
