<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\PolicyChoice;
use App\Models\Planter;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Plan\Policy\Strategy;

/** The policy that rules a planter now: what was chosen last for it, and for some kinds of slot since. */
final class RulingPolicy
{
    /** By its limit where nobody has chosen. */
    public static function of(Planter $planter): Policy
    {
        $choices = PolicyChoice::query()->where('planter_id', $planter->id)->orderBy('happened_at')->orderBy('id')->get();
        $policy = Policy::of(Strategy::Limit);
        foreach ($choices as $choice) {
            $chosen = self::read($choice->school, $choice->rules);
            $policy = $choice->slot === null ? $chosen : $policy->with($choice->slot, $chosen);
        }

        return $policy;
    }

    /** @param  array<string, array<string, mixed>>  $rules  of the shop's own */
    public static function read(Strategy $school, array $rules): Policy
    {
        return $school === Strategy::Own ? Policy::ownOf($rules) : Policy::of($school);
    }
}
