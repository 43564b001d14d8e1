<?php

declare(strict_types=1);

namespace App\Models\Work;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;

/**
 * What holds something on a planter's rows that comes off, and what it is opened with: rows may have other pins than most.
 *
 * @property int $id
 * @property int $workshop_id
 * @property int $planter_id
 * @property string $step what comes off, as core/units names its access
 * @property list<array{rows: list<int>, pin: string, tools: string}> $variants one without rows is of all others
 * @property int $revision counts its changes
 */
final class Joint extends Model
{
    use IsWatched;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['variants' => 'array'];

    protected $attributes = ['variants' => '[]', 'revision' => 0];

    /** What holds it on a row, and its tools: `1/2 × 2 3/4 clevis pin; 9/16 wrench`; empty where nobody said. */
    public function at(int $row): string
    {
        foreach ([static fn (array $of): bool => in_array($row, $of['rows'], true), static fn (array $of): bool => $of['rows'] === []] as $is) {
            foreach (array_filter($this->variants, $is) as $variant) {
                return implode('; ', array_filter([$variant['pin'], $variant['tools']]));
            }
        }

        return '';
    }
}
