<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\PolicyChoice;
use App\Models\Planter;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\InvalidPolicy;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Plan\Policy\Strategy;

/** Policies that were chosen for a planter, or for one kind of slot on it. */
#[Declared(PolicyChoice::class, item: 'policy.item', when: 'decide.when')]
final readonly class PolicyChoices implements Kind
{
    use EventDefaults;

    public function __construct(private Planter $planter)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $school = $fields->oneOf('school', Strategy::class, 'policy.school') ?? throw Refused::because('school', 'policy.school');
        $slot = $fields->oneOf('slot', Slot::class, 'policy.slot');
        if ($slot !== null && ! in_array(true, array_map(static fn (array $kind): bool => $slot->isOn($kind[0]), $this->planter->units()->kinds()), true)) {
            throw Refused::because('slot', 'policy.no_such_slot', ['slot' => __("slot.{$slot->value}")]);
        }
        $rules = [];
        if ($school === Strategy::Own) {
            try {
                $rules = Policy::ownOf($this->planter->workshop->own_policy)->toArray();
            } catch (InvalidPolicy $invalid) {
                throw Refused::because('school', "policy.{$invalid->fault}", ['said' => $invalid->said]);
            }
        }

        return [
            'slot' => $slot?->value,
            'school' => $school->value,
            'rules' => json_encode((object) $rules, JSON_THROW_ON_ERROR),
        ];
    }
}
