<?php

declare(strict_types=1);

namespace App\Yard;

use App\Spec\EditSpecSheet;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Spec\CheckDefinition;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\SpecSheetReader;
use Ustrel\Core\Unit\Catalogue;

/** Targets of a planter itself, as a form says them: where the band is to lie, how hard each tire is to be. */
final class WantedEdit
{
    /** @var array<string, string> what is wrong, by field of the form */
    public array $faults = [];

    /** @var array<string, string> by check key, each with its unit */
    public array $wanted = [];

    /** @param  mixed  $given  by check key as typed; null or nothing where the spec sheet's holds */
    public function __construct(mixed $given, UnitSystem $system)
    {
        if (! is_array($given)) {
            $this->faults['wanted'] = __('planter.wanted');

            return;
        }
        foreach ($given as $key => $typed) {
            $check = CheckKey::tryFrom((string) $key);
            $definition = $check === null ? null : Catalogue::shipped()->check($check);
            if ($check === null || $definition?->wanted === null) {
                $this->faults['wanted'] = __('planter.no_target');
            } elseif ($typed !== null && ! is_string($typed)) {
                $this->faults["wanted.{$key}"] = __('planter.wanted');
            } elseif (trim($typed ?? '') !== '') {
                $this->read($check, $definition, trim((string) $typed), $system);
            }
        }
    }

    private function read(CheckKey $check, CheckDefinition $definition, string $typed, UnitSystem $system): void
    {
        $target = EditSpecSheet::withUnit(['value' => $typed, 'source' => ''], $definition->unit, $system)['value'];
        try {
            $isBelow = SpecSheetReader::wanting(SpecSheetReader::typical($check), $target)->figures['target']->quantity->steps() <= 0;
        } catch (UnreadableNumber $unreadable) {
            $this->faults["wanted.{$check->value}"] = __($unreadable->wordKey(), $unreadable->fill());

            return;
        }
        // A distance may be none; a pressure may not.
        if ($isBelow && $definition->kind === CheckKind::Setting) {
            $this->faults["wanted.{$check->value}"] = __('planter.target_zero');
        }
        $this->wanted[$check->value] = $target;
    }
}
