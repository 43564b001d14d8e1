<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Circumstances;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Walk\Place;

/** Which parts a policy changes now, by how far gone they are. */
final class Due
{
    /**
     * @return array<string, Why> by key of the place that reads the part
     */
    public static function among(Circumstances $now): array
    {
        $due = [];
        foreach (self::slots($now) as $slot => $keys) {
            $rule = $now->policy->ruleFor(Slot::from($slot));
            $why = match ($rule->when) {
                // That is for who measures to say.
                ChangeWhen::PastLimit => null,
                ChangeWhen::ShareGone => Why::ShareGone,
                ChangeWhen::WouldNotLast => Why::WouldNotLast,
                ChangeWhen::Always => Why::Always,
            };
            if ($why === null) {
                continue;
            }
            $dueOnes = array_filter($keys, static fn (string $key): bool => $rule->isDue($now->wear[$key]->gone, $now->wear[$key]->goneAtEnd));
            if ($rule->scope === Scope::Row) {
                $due += array_fill_keys($dueOnes, $why);
            } elseif (2 * count($dueOnes) >= count($keys)) {
                $due += array_fill_keys($dueOnes, $why) + array_fill_keys($keys, Why::SetIsDue);
            }
        }

        return $due;
    }

    /** @return array<string, non-empty-list<string>> by slot, the places whose part is read and known */
    private static function slots(Circumstances $now): array
    {
        $slots = [];
        foreach (array_keys($now->wear) as $key) {
            $slot = Slot::of(Place::fromKey($key)->check);
            if ($slot !== null && $slot->checks()[0] === Place::fromKey($key)->check) {
                $slots[$slot->value][] = $key;
            }
        }

        return $slots;
    }
}
