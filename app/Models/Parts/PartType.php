<?php

declare(strict_types=1);

namespace App\Models\Parts;

use App\Models\Concerns\HasVersion;
use App\Models\Concerns\IsWatched;
use Database\Factories\Parts\PartTypeFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;

/**
 * A kind of part in a workshop's own catalogue.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string|null $own_number the workshop's own
 * @property list<string> $slots that it fits; of the Slot enum
 * @property int $per_row
 * @property string|null $new_size millimetres
 * @property string|null $new_size_typed
 * @property string|null $life_m expected, furrow metres
 * @property string|null $price for one
 * @property int|null $lead_days
 * @property int|null $minimum that is to stay on the shelf
 * @property string $notes
 * @property bool $heavy an opener blade of the heavier kind, with large rivets
 * @property bool $clearance a seed tube guard with clearance for large rivets
 */
final class PartType extends Model
{
    /** @use HasFactory<PartTypeFactory> */
    use HasFactory;

    use HasVersion;
    use IsWatched;

    protected $guarded = [];

    protected $attributes = [
        'own_number' => null, 'new_size' => null, 'new_size_typed' => null, 'life_m' => null, 'price' => null, 'lead_days' => null, 'minimum' => null, 'notes' => '', 'heavy' => false, 'clearance' => false,
    ];

    protected $casts = ['slots' => 'array', 'heavy' => 'boolean', 'clearance' => 'boolean'];

    /** @return list<string> */
    protected function written(): array
    {
        return ['name', 'own_number', 'slots', 'per_row', 'new_size', 'new_size_typed', 'life_m', 'price', 'lead_days', 'minimum', 'notes', 'heavy', 'clearance'];
    }
}
