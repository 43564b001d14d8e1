<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Amount;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;

// 1 in H2O = 2.4908891 mbar, 1 psi = 0.068947573 bar, worked out by hand; the client is held to the same file.
/** @return array<string, array{array<string, mixed>}> */
function amounts(string $kind, string $by): array
{
    $vectors = json_decode((string) file_get_contents(__DIR__.'/../vectors/amounts.json'), true, 16, JSON_THROW_ON_ERROR);
    $named = [];
    foreach ($vectors[$kind] as $vector) {
        $named["\"{$vector[$by]}\" {$vector['unit']} in {$vector['units']}"] = [$vector];
    }

    return $named;
}

it('reads an amount, or says what is wrong with it', function (array $vector): void {
    $read = fn (): Amount => Amount::read($vector['typed'], Unit::from($vector['unit']), UnitSystem::from($vector['units']));
    if (isset($vector['fault'])) {
        expect($read)->toThrow(fn (UnreadableNumber $e) => expect($e->wordKey())->toBe("number.{$vector['fault']}"));

        return;
    }
    expect($read()->steps())->toBe((int) round($vector['value'] * 1000))
        ->and($read()->asTyped())->toBe($vector['typed']);
})->with(amounts('read', 'typed'));

it('prints an amount in the unit of the person', function (array $vector): void {
    $unit = Unit::from($vector['unit']);
    expect((new QuantityPrinter(UnitSystem::from($vector['units'])))->print($unit->quantityOf($vector['value'])))->toBe($vector['text']);
})->with(amounts('print', 'value'));

it('says how far two figures lie apart', function (): void {
    $inches = new QuantityPrinter(UnitSystem::Inch);
    expect($inches->difference(Unit::Psi->quantityOf(52), Unit::Psi->quantityOf(57)))->toBe('5 psi')
        ->and($inches->difference(Length::ofSixteenths(8), Length::ofSixteenths(2)))->toBe('3/8 in');
});

it('gives a stored figure back as it was', function (Unit $unit): void {
    expect($unit->valueOf($unit->quantityOf('12.345')))->toBe(12.345);
})->with(Unit::cases());
