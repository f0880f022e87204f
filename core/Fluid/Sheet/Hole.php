<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Form\Fields;
use Core\Machine\Closure;
use Core\Machine\OpeningRole;

/** What an opening is: where, by what it is shut, what else the same hole serves. */
final readonly class Hole
{
    private const SIDES = ['left', 'right'];

    /**
     * @param  'left'|'right'|null  $side  of the machine
     * @param  Closure|null  $closure  null for what its role says
     * @param  list<OpeningRole>  $also  beside its own role: one hole is one spot
     */
    public function __construct(
        public bool $magnet = false,
        public ?string $side = null,
        public ?Closure $closure = null,
        public array $also = [],
    ) {}

    public static function read(Fields $given): self
    {
        return new self(
            $given->flag('magnet', 'whether it has a magnet'),
            $given->has('side') ? $given->option('side', self::SIDES, 'the side') : null,
            self::closure($given),
            self::roles($given, 'also'),
        );
    }

    public static function closure(Fields $given): ?Closure
    {
        return $given->has('closure')
            ? Closure::tryFrom((string) $given->option('closure', array_column(Closure::cases(), 'value'), 'by what it is shut'))
            : null;
    }

    /** @return list<OpeningRole> each once */
    public static function roles(Fields $given, string $name): array
    {
        $each = array_column(OpeningRole::cases(), 'value');
        $roles = [];
        foreach ($given->texts($name, 'what the opening is for') as $text) {
            $role = OpeningRole::tryFrom($text);
            if ($role === null) {
                $given->fault($name, 'What the opening is for is one of '.implode(', ', $each).'.');
            } else {
                $roles[$role->value] = $role;
            }
        }

        return array_values($roles);
    }

    /** @return array<string, mixed> as {@see self::read()} reads it */
    public function written(): array
    {
        return [
            'magnet' => $this->magnet,
            'side' => $this->side,
            'closure' => $this->closure?->value,
            'also' => array_column($this->also, 'value'),
        ];
    }
}
