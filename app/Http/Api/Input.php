<?php

declare(strict_types=1);

namespace App\Http\Api;

use BackedEnum;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator as Checked;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Unit\Key;

/**
 * What a request says: checked by the types of its fields and their `#[Field]`, in the words of the technician, before a
 * controller that asks for it is called. A field with a default may be left out, or null.
 */
abstract readonly class Input extends Schema
{
    /** Fields that say which state was changed, and are none of the thing itself. */
    private const ABOUT_THE_CHANGE = ['revision', 'version', 'key'];

    private const RULES = ['string' => 'string', 'int' => 'integer:strict', 'float' => 'numeric:strict', 'bool' => 'boolean:strict', 'array' => 'list'];

    /** @throws ValidationException */
    public static function from(Request $request): static
    {
        $validator = Validator::make($request->all(), static::rules($request), static::messages());
        $validator->after(static function (Checked $checked) use ($request): void {
            if ($checked->errors()->isEmpty()) {
                static::check(static::of($checked->getData()), $checked, $request);
            }
        });

        return static::of($validator->validate());
    }

    /** Built from the columns of a model by the same names. */
    public static function ofModel(Model $model): static
    {
        return static::of(array_map(static fn (SchemaField $field): mixed => $model->getAttribute($field->name), SchemaField::of(static::class)));
    }

    /** @return array<string, mixed> the columns of the thing: what was said, and what is usual where nothing was */
    public function columns(): array
    {
        return array_diff_key(get_object_vars($this), array_flip(self::ABOUT_THE_CHANGE));
    }

    /**
     * Rules that are not of one field alone; says in the errors what is wrong.
     *
     * @param  static  $input
     */
    protected static function check(self $input, Checked $checked, Request $request): void
    {
    }

    /** @return array<string, list<mixed>> */
    protected static function rules(Request $request, string $at = ''): array
    {
        $rules = [];
        foreach (SchemaField::of(static::class) as $name => $field) {
            $presence = match (true) {
                $field->isOptional => ['nullable'],
                $field->isNullable => ['present', 'nullable'],
                // An empty list is one, too.
                $field->items !== null => ['present'],
                default => ['required'],
            };
            $rules[$at.$name] = ['bail', ...$presence, ...($field->isMap ? ['array'] : self::ofType($field->type)), ...self::own($field->field->rules, $request)];
            if ($field->items !== null) {
                $rules += self::ofItems("{$at}{$name}.*", $field->items, $request);
            }
        }

        return $rules;
    }

    /** @return array<string, string> */
    protected static function messages(string $at = ''): array
    {
        $said = [];
        foreach (SchemaField::of(static::class) as $name => $field) {
            if ($field->field->says !== '') {
                $said["{$at}{$name}.*"] = __($field->field->says);
            }
            if ($field->items !== null && is_subclass_of($field->items, self::class)) {
                $said += $field->items::messages("{$at}{$name}.*.");
            }
            if ($field->items !== null && $field->field->says !== '') {
                $said["{$at}{$name}.*.*"] = __($field->field->says);
            }
        }

        return $said;
    }

    /** @return array<string, list<mixed>> */
    private static function ofItems(string $at, string $items, Request $request): array
    {
        if (is_subclass_of($items, self::class)) {
            return [$at => ['array:'.implode(',', array_keys(SchemaField::of($items)))]] + $items::rules($request, "{$at}.");
        }

        return [$at => self::ofType($items)];
    }

    /** @return non-empty-list<mixed> */
    private static function ofType(string $type): array
    {
        return match (true) {
            is_subclass_of($type, BackedEnum::class) => [Rule::enum($type)],
            is_subclass_of($type, Key::class) => [Rule::in(array_column($type::cases(), 'value'))],
            // As far as core's days go.
            $type === Day::class => ['string', 'date_format:Y-m-d', 'after_or_equal:1900-01-01', 'before_or_equal:2200-12-31'],
            default => [self::RULES[$type]],
        };
    }

    /**
     * @param  list<string>  $rules
     * @return list<mixed>
     */
    private static function own(array $rules, Request $request): array
    {
        return array_map(static fn (string $rule): mixed => str_starts_with($rule, 'ours:') ? Rule::exists(substr($rule, 5), 'id')->where('workshop_id', $request->user()?->getAttribute('workshop_id')) : $rule, $rules);
    }

    /** @param  array<string, mixed>  $given  checked */
    final public static function of(array $given): static
    {
        // @phpstan-ignore new.static (each has its fields in its constructor, by name)
        return new static(...array_map(static fn (SchemaField $field): mixed => self::value($field, $given[$field->name] ?? null), SchemaField::of(static::class)));
    }

    /** @phpstan-assert-if-true class-string<BackedEnum|Key> $type */
    private static function isNamed(string $type): bool
    {
        return is_subclass_of($type, BackedEnum::class) || is_subclass_of($type, Key::class);
    }

    private static function value(SchemaField $field, mixed $given): mixed
    {
        if ($given === null) {
            return $field->default;
        }

        return match (true) {
            $field->items !== null && is_subclass_of($field->items, self::class) => array_map(static fn (mixed $item): mixed => is_array($item) ? $field->items::of($item) : $item, array_values((array) $given)),
            $field->items !== null && self::isNamed($field->items) => array_map(static fn (mixed $item): mixed => $item instanceof $field->items ? $item : $field->items::from($item), array_values((array) $given)),
            $given instanceof $field->type => $given,
            $field->type === 'float' => (float) $given,
            $field->type === 'int' => (int) $given,
            $field->type === 'string' => trim((string) $given),
            $field->type === Day::class => Day::of((string) $given),
            self::isNamed($field->type) => $field->type::from($given),
            default => $given,
        };
    }
}
