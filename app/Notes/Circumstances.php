<?php

declare(strict_types=1);

namespace App\Notes;

use App\Contract\Device;
use App\Machines\Yard;
use App\People\Person;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;

/** Who writes something down, from which device, when it happened, and what they say about it. */
final readonly class Circumstances
{
    /**
     * @param  bool  $isAttended  whether somebody waits for what becomes of it, and can be asked
     * @param  Person|null  $sender  who sends it now, where that is somebody who must be allowed to
     */
    public function __construct(
        public ?Person $by,
        public When $when,
        public ?string $device = null,
        public ?string $note = null,
        public ?string $confirmedBecause = null,
        private ?CarbonImmutable $toldAt = null,
        public bool $isAttended = true,
        public ?Person $sender = null,
    ) {}

    /** Whether somebody said why what can hardly be right is so. */
    public function isSure(): bool
    {
        return trim((string) $this->confirmedBecause) !== '';
    }

    /** When it was told: by the device's clock where that could be put right, else by ours. */
    public function toldAt(): CarbonImmutable
    {
        return $this->toldAt ?? CarbonImmutable::now();
    }

    public static function of(Request $request, ?string $at = null): self
    {
        $person = Person::asking($request);

        return new self(
            by: $person,
            when: When::read($at ?? $request->input('at'), app(Yard::class)),
            device: Device::of($request),
            note: $request->input('note'),
            confirmedBecause: $request->input('confirmed_because'),
            sender: $person,
        );
    }

    /** The same, told of another time. */
    public function at(When $when, ?string $note = null): self
    {
        return new self(...['when' => $when, 'note' => $note ?? $this->note] + get_object_vars($this));
    }

    public function saying(string $note): self
    {
        return new self(...['note' => $note] + get_object_vars($this));
    }

    /** @return array<string, array<mixed>> the rules of the fields read here */
    public static function rules(): array
    {
        return [
            'at' => ['sometimes', 'nullable', When::rule()],
            'note' => ['sometimes', 'nullable', 'string', 'max:1000'],
            'confirmed_because' => ['sometimes', 'nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, mixed> the columns of an entry that they fill */
    public function columns(): array
    {
        return [
            'happened_at' => $this->when->at,
            'day_only' => $this->when->dayOnly,
            'written_at' => now(),
            'person_id' => $this->by?->id,
            'device' => $this->device,
        ];
    }
}
