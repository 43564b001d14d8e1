<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use App\Models\People\Role;
use App\Models\User;
use Ustrel\Core\Measure\NumberStyle;

final readonly class MeView extends Schema
{
    public function __construct(
        public int $id,
        public string $name,
        /** null for a guest */
        public ?string $email,
        public Role $role,
        /** @var list<'see'|'record'|'set'|'run'> see: look; record: walk and say what was done; set: figures, prices, planters; run: people */
        public array $may,
        /** The one that a guest looks at */
        public ?int $planter,
        public string $workshop,
        /** Made-up data */
        public bool $is_demo,
        /** ISO 4217 */
        public string $currency,
        /** How the workshop writes numbers: 1,234.5 or 1.234,5; null where nobody said */
        public ?NumberStyle $number_style,
        /** Of the workshop: days begin and end by it */
        public string $time_zone,
        /** @var 'in'|'mm' */
        public string $units,
        /** @var 'device'|'light'|'dark' device: as the device has it */
        public string $theme,
        /** Key by which the device seals what waits of this person when they sign out; Base64 of 32 bytes */
        public string $seal,
    ) {
    }

    /** @param  User  $of  with its workshop */
    public static function of(User $of): self
    {
        return new self(
            $of->id, $of->name, $of->email, $of->role, $of->role->abilities(), $of->planter_id, $of->workshop->name, $of->workshop->is_demo, $of->workshop->currency, $of->workshop->number_style,
            $of->workshop->time_zone, $of->units->value, $of->theme, base64_encode(hash_hmac('sha256', "what waits of {$of->id}", (string) config('app.key'), true)),
        );
    }
}
