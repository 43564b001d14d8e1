<?php

declare(strict_types=1);

use App\Bench\Http\SeedLotEdit;
use App\Bench\Http\SeedLotView;
use App\Http\Api\Contract;
use App\Http\Api\Input;
use App\Http\Api\Schema;
use App\Http\Api\SchemaField;
use App\Models\Bench\SeedLot;
use App\Parts\Http\OrderEdit;
use App\Season\Http\FinishDaysView;
use App\Walk\Board\Http\RibbonRowView;
use App\Walk\Http\WalkView;
use App\Yard\Http\WorkshopView;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\File;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

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
        ->and(array_filter($edit->columns(), static fn (mixed $of): bool => $of !== null && $of !== '' && $of !== []))->toEqual(['name' => 'Popcorn 7', 'seeds_per_unit' => 80_000, 'germination' => 0.95, 'spare' => 0.05])
        ->and($edit->columns())->toHaveKeys(['crop', 'size', 'price', 'mixture', 'due_on'])->not->toHaveKey('revision');
});

it('answers with the fields that a form writes, and its own beside them', function (): void {
    $lot = SeedLot::query()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Popcorn 7', 'seeds_per_unit' => 80_000, 'germination' => 0.95])->refresh();
    $json = json_decode((string) json_encode(SeedLotView::of($lot, null, 0.0, [], [])), true);
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

it('says in the document what comments say of a type more exactly than PHP', function (): void {
    $schemas = Contract::complete(['components' => ['schemas' => []], 'paths' => []])['components']['schemas'];
    expect($schemas['Me']['properties']['units'])->toBe(['type' => 'string', 'enum' => ['in', 'mm']])
        ->and($schemas['Me']['properties']['may']['items'])->toBe(['type' => 'string', 'enum' => ['see', 'record', 'set', 'run']])
        ->and($schemas['Planter']['properties']['spec_sheet']['properties']['left_hand_thread'])->toBe([
            'description' => 'The side whose blade is bolted on with a left-hand thread', 'oneOf' => [['$ref' => '#/components/schemas/Side'], ['type' => 'null']],
        ])
        ->and($schemas['Planter']['properties']['spec_sheet']['required'])->toBe(['id', 'name', 'type', 'left_hand_thread', 'torque'])
        ->and($schemas['WalkState']['properties']['row_bands']['additionalProperties'])->toBe(['type' => 'array', 'items' => ['$ref' => '#/components/schemas/Band']])
        ->and($schemas['RainDay']['properties']['people']['items'])->toBe(['type' => 'array', 'items' => ['$ref' => '#/components/schemas/RainJob']])
        ->and($schemas['Walk']['properties']['finished_at'])->toBe(['type' => ['string', 'null'], 'format' => 'date-time'])
        ->and($schemas['Season']['properties']['planting_start'])->toBe(['type' => ['string', 'null'], 'format' => 'date'])
        ->and($schemas['Side'])->toBe(['type' => 'string', 'enum' => ['left', 'right', 'centre']]);
});

it('does not ask for what an answer leaves out, and never says that it is null', function (): void {
    $schemas = Contract::complete(['components' => ['schemas' => []], 'paths' => []])['components']['schemas'];
    expect($schemas['BoardCell']['required'])->toBe(['row', 'check', 'side'])
        ->and($schemas['BoardCell']['properties']['now'])->toBe(['description' => 'Missing while unchecked', '$ref' => '#/components/schemas/BoardReading'])
        // What is inlined stands among the rest.
        ->and($schemas['BoardReading']['required'])->toBe(['verdict'])->and(array_keys($schemas['BoardReading']['properties']))->toBe(['verdict', 'value', 'state', 'chips', 'reasons', 'result']);
    $json = static fn (Schema $of): array => json_decode((string) json_encode($of), true);
    expect($json(new RibbonRowView(3, Verdict::Sound, null, 2, null, null)))->toBe(['row' => 3, 'verdict' => 'sound', 'life_left' => null, 'checked' => 2])
        ->and($json(new RibbonRowView(3, Verdict::Unchecked, 0.5, 0, Verdict::Change, null)))->toHaveKey('expected', 'change');
});

it('writes days, moments and maps that are empty as the document says', function (): void {
    $view = new WalkView('x', 2026, WalkKind::PreSeason, WalkOrder::Snake, 8, [], null, 4, new DateTimeImmutable('2026-03-01 09:30:00', new DateTimeZone('+02:00')), null);
    expect(json_encode($view))->toContain('"started_at":"2026-03-01T07:30:00.000Z"')->toContain('"finished_at":null')->toContain('"checks":[]');
    expect(json_encode(new FinishDaysView(Day::of('2026-05-01'), null, null)))->toBe('{"p10":"2026-05-01","p50":null,"p90":null}');
    $workshop = json_encode(WorkshopView::of($this->technician->workshop->refresh()));
    expect($workshop)->toContain('"own_policy":{}')->toContain('"crew":[]');
});
