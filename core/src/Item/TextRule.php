<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** Short text: forms, compared after folding; spelling slips may be allowed by length. The first exact form wins, then the nearest. */
final readonly class TextRule implements Rule
{
    /** @param list<Form> $forms */
    public function __construct(
        public array $forms,
        public Folding $folding = new Folding(),
        public bool $allowSlips = false,
    ) {
    }

    public function type(): ItemType
    {
        return ItemType::Text;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        $given = $this->folding->fold(mb_substr($response->text, 0, 500));
        $folded = array_map(fn (Form $f): string => $this->folding->fold($f->text), $this->forms);
        $at = array_search($given, $folded, true);
        if ($at === false && $this->allowSlips) {
            $nearest = PHP_INT_MAX;
            foreach ($folded as $i => $form) {
                $allowance = EditDistance::allowanceFor($form);
                $distance = EditDistance::upTo($given, $form, $allowance);
                if ($distance <= $allowance && $distance < $nearest) {
                    $nearest = $distance;
                    $at = $i;
                }
            }
        }
        if ($at === false) {
            return Outcome::of(BigRational::zero(), '', $given);
        }
        $form = $this->forms[$at];

        return Outcome::of($form->credit, 'form '.($at + 1), $given, $form->feedback, $form->misconception === null ? [] : [$form->misconception]);
    }

    /** The same rule with one more accepted form, or with the credit of that form replaced. */
    public function accepting(Form $form): self
    {
        $key = $this->folding->fold($form->text);
        $others = array_values(array_filter($this->forms, fn (Form $f): bool => $this->folding->fold($f->text) !== $key));

        return new self([...$others, $form], $this->folding, $this->allowSlips);
    }

    public function waitsForMarker(): bool
    {
        return false;
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (Form $f): ?string => $f->misconception, $this->forms), is_string(...))));
    }

    public function toArray(): array
    {
        return ['forms' => array_map(static fn (Form $f): array => $f->toArray(), $this->forms), 'folding' => $this->folding->toArray(), 'allowSlips' => $this->allowSlips];
    }

    public function defects(): array
    {
        $defects = [];
        $right = array_filter($this->forms, static fn (Form $f): bool => $f->credit->isEqualTo(1));
        if ($right === []) {
            $defects[] = Defect::blocking('No accepted form earns full credit, so there is no key.');
        }
        $seen = [];
        foreach ($this->forms as $i => $form) {
            $text = $this->folding->fold($form->text);
            if ($text === '') {
                $defects[] = Defect::blocking(sprintf('Form %d is empty.', $i + 1));
            } elseif (isset($seen[$text])) {
                $defects[] = Defect::blocking(sprintf('Forms %d and %d are the same after folding; only the first counts.', $seen[$text], $i + 1));
            }
            $seen[$text] ??= $i + 1;
        }

        return $defects;
    }
}
