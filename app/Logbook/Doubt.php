<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Record;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What there is to ask of an entry: it stays with it until an entry answers, by saying why it is right or by correcting
 * it.
 *
 * @property int $id
 * @property int $entry_id
 * @property int|null $act_id what of it is asked about
 * @property string $asks
 * @property int|null $answer_id
 * @property-read Entry $entry
 * @property-read Entry|null $answer
 */
final class Doubt extends Record
{
    /** @return BelongsTo<Entry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(Entry::class);
    }

    /** @return BelongsTo<Entry, $this> */
    public function answer(): BelongsTo
    {
        return $this->belongsTo(Entry::class, 'answer_id');
    }

    public function isOpen(): bool
    {
        return $this->answer === null || $this->answer->isStruck();
    }

    /**
     * Those that nobody has answered, of entries that stand.
     *
     * @param  Builder<self>  $doubts
     */
    public function scopeOpen(Builder $doubts): void
    {
        $doubts->whereHas('entry', fn ($entries) => $entries->whereNull('struck_at'))
            ->whereDoesntHave('answer', fn ($answers) => $answers->whereNull('struck_at'));
    }

    /** @return array<string, mixed> as the contract's `Doubt` */
    public function toRecord(): array
    {
        $answer = $this->isOpen() ? null : $this->answer;

        return [
            'id' => $this->id,
            'asks' => $this->asks,
            'answer' => $answer === null ? null : [
                'by' => $answer->person?->name,
                'at' => $answer->happened_at->toAtomString(),
                'because' => $answer->note ?? '',
            ],
        ];
    }
}
