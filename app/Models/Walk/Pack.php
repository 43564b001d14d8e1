<?php

declare(strict_types=1);

namespace App\Models\Walk;

use App\Models\Concerns\HasVersion;
use App\Models\Concerns\IsWatched;
use Database\Factories\Walk\PackFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Walk\WalkKind;

/**
 * A set of checks that a workshop walks together, under a name of its own.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property WalkKind $kind of the walk that it proposes
 * @property list<string> $checks keys, in the order of the catalogue
 */
final class Pack extends Model
{
    /** @use HasFactory<PackFactory> */
    use HasFactory;

    use HasVersion;
    use IsWatched;

    protected $guarded = [];

    protected $casts = ['kind' => WalkKind::class, 'checks' => 'array'];

    /** @return list<string> */
    protected function written(): array
    {
        return ['name', 'kind', 'checks'];
    }
}
