<?php

declare(strict_types=1);

use App\Bench\Http\SeedLotEdit;
use App\Bench\Http\SeedLotView;
use App\Http\Api\Contract;
use App\Http\Api\Input;
use App\Http\Api\SchemaField;
use App\Models\Bench\SeedLot;
use App\Parts\Http\OrderEdit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\File;
use Illuminate\Validation\ValidationException;

/** @return array<string, class-string<Input>> all there are, by name */
function inputs(): array
{
    $inputs = [];
    foreach (File::allFiles(app_path()) as $file) {
        $class = 'App\\'.strtr($file->getRelativePathname(), ['/' => '\\', '.php' => '']);
        if (is_subclass_of($class, Input::class)) {
            $inputs[class_basename($class)] = $class;
        }
    }

    return $inputs;
}

/**
 * @param  class-string<Input>  $input
 * @param  array<string, mixed>  $body
 * @return list<string> fields that are refused
 */
function refusedBy(string $input, array $body): array
{
    $request = Request::create('/api/x', 'PUT', server: ['CONTENT_TYPE' => 'application/json'], content: json_encode($body, JSON_THROW_ON_ERROR));
    try {
        $input::from($request);
    } catch (ValidationException $refused) {
        return array_keys($refused->errors());
    }

    return [];
}

it('asks for what the document says is required, and takes no field for what it is not', function (): void {
    $schemas = Contract::complete(['components' => ['schemas' => []], 'paths' => []])['components']['schemas'];
    $lax = [];
    foreach (inputs() as $called => $input) {
        foreach (array_diff($schemas[$called]['required'] ?? [], refusedBy($input, [])) as $name) {
            $lax[] = "{$called} can do without {$name}";
        }
        foreach (SchemaField::of($input) as $name => $field) {
            $wrong = match (true) {
                $field->items !== null => 'text',
                in_array($field->type, ['int', 'float', 'bool'], true) => '1',
                default => 7,
            };
            if (! in_array($name, refusedBy($input, [$name => $wrong]), true)) {
                $lax[] = "{$called} takes anything for {$name}";
            }
        }
    }
    expect(count(inputs()))->toBeGreaterThan(8)->and($lax)->toBe([]);
});

it('reads a request into typed fields, with what is usual where nothing is said', function (): void {
    $request = Request::create('/api/x', 'POST', server: ['CONTENT_TYPE' => 'application/json'], content: '{"name": " Popcorn 7 ", "seeds_per_unit": 80000, "germination": 0.95, "crop": null, "unknown": 1}');
    $edit = SeedLotEdit::from($request);
    expect($edit)->toEqual(new SeedLotEdit('Popcorn 7', 80_000, germination: 0.95))
        ->and($edit->columns())->toBe(['name' => 'Popcorn 7', 'seeds_per_unit' => 80_000, 'crop' => '', 'size' => null, 'shape' => '', 'germination' => 0.95, 'treatment' => '', 'lubricant' => '', 'price' => null, 'spare' => 0.05]);
});

it('answers with the fields that a form writes, and its own beside them', function (): void {
    $lot = SeedLot::query()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Popcorn 7', 'seeds_per_unit' => 80_000, 'germination' => 0.95])->refresh();
    $json = json_decode((string) json_encode(SeedLotView::of($lot, null, [], [])), true);
    expect($json)->toMatchArray(['id' => $lot->id, 'name' => 'Popcorn 7', 'germination' => 0.95, 'spare' => 0.05, 'on_hand' => null, 'discs' => []])->not->toHaveKey('edit');
});

it('keeps what the document says of the size of a field to what is checked', function (): void {
    $properties = Contract::complete(['components' => ['schemas' => []], 'paths' => []])['components']['schemas']['SeedLotEdit']['properties'];
    expect($properties['germination'])->toMatchArray(['minimum' => 0.01, 'maximum' => 1, 'description' => 'Share, on the tag'])
        ->and($properties['name'])->toMatchArray(['type' => 'string', 'maxLength' => 80])
        ->and(refusedBy(SeedLotEdit::class, ['name' => 'A', 'seeds_per_unit' => 80_000, 'germination' => 1.01]))->toBe(['germination'])
        ->and(refusedBy(SeedLotEdit::class, ['name' => 'A', 'seeds_per_unit' => 80_000, 'germination' => 1]))->toBe([]);
});

it('names a reference that leads nowhere', function (): void {
    expect(Contract::dangling(['components' => ['schemas' => ['A' => ['$ref' => '#/components/schemas/B']]]]))->toBe(['#/components/schemas/B'])
        ->and(Contract::dangling(['components' => ['schemas' => ['A' => ['$ref' => '#/components/schemas/A']]]]))->toBe([]);
});

it('takes no day that no calendar of ours has', function (string $day): void {
    expect(refusedBy(OrderEdit::class, ['revision' => 0, 'state' => 'ordered', 'lines' => [], 'key' => '0198b0c0-0000-7000-8000-000000000001', 'ordered_on' => $day]))->toContain('ordered_on');
})->with(['2026-02-30', '0001-01-01', '9999-01-01', '2026-2-3', 'tomorrow', '']);
