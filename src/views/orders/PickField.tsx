/** A choice from the shelf by typing a part of its name: for lists that grow long. */
import { Button, ComboBox, FieldError, Input, Label, ListBox, ListBoxItem, Popover, Text } from 'react-aria-components';

export interface PickItem {
  id: string;
  name: string;
  detail: string;
}

export function PickField({
  label,
  items,
  value,
  onChange,
  problem,
  autoFocus = false,
}: {
  label: string;
  items: PickItem[];
  value: string | null;
  onChange: (id: string) => void;
  problem?: string | undefined;
  autoFocus?: boolean;
}) {
  return (
    <ComboBox
      defaultItems={items}
      value={value}
      onChange={(key) => key !== null && onChange(String(key))}
      menuTrigger="focus"
      isInvalid={Boolean(problem)}
      className="block narrow:pb-4"
    >
      <Label className="label mb-1 block">{label}</Label>
      <div className="relative">
        <Input className="entry pr-12" autoFocus={autoFocus} />
        <Button className="absolute inset-y-0 right-0 w-12 text-soft" aria-label={`Show ${label.toLowerCase()}`}>
          <svg width="16" height="16" viewBox="0 0 16 16" className="mx-auto" aria-hidden="true">
            <path d="M3 6l5 5 5-5" fill="none" stroke="currentColor" strokeWidth="2" />
          </svg>
        </Button>
      </div>
      <FieldError className="text-sm text-brick">{problem}</FieldError>
      <Popover className="w-(--trigger-width) overflow-auto border-2 border-ink bg-sheet">
        <ListBox<PickItem> renderEmptyState={() => <p className="p-3 label">Nothing on the shelf by that name.</p>}>
          {(item) => (
            <ListBoxItem
              id={item.id}
              textValue={item.name}
              className="cursor-default px-3 py-2 outline-none data-[focused]:bg-teal data-[focused]:text-on-teal"
            >
              <Text slot="label" className="block font-semibold">
                {item.name}
              </Text>
              <Text slot="description" className="block text-sm opacity-85">
                {item.detail}
              </Text>
            </ListBoxItem>
          )}
        </ListBox>
      </Popover>
    </ComboBox>
  );
}
