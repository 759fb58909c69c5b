import { Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A dialog in our own look over a darkened bench. Without `onClose` it stays until one of its own buttons is taken. */
export function Frame({
  title,
  wide,
  onClose,
  children,
}: {
  title: string;
  wide?: boolean;
  onClose?(): void;
  children: ReactNode;
}) {
  return (
    <Dialog.Root
      open
      role={onClose ? 'dialog' : 'alertdialog'}
      closeOnInteractOutside={onClose !== undefined}
      closeOnEscape={onClose !== undefined}
      onOpenChange={({ open }) => !open && onClose?.()}
      size={wide ? 'xl' : 'sm'}
      scrollBehavior="inside"
    >
      <Portal>
        <Dialog.Backdrop bg="rgba(14, 20, 24, 0.6)" />
        <Dialog.Positioner>
          <Dialog.Content
            bg="card"
            borderRadius="3px"
            borderWidth="1px"
            borderColor="line"
            maxW={wide ? '860px' : undefined}
          >
            <Dialog.Header>
              <Dialog.Title fontFamily="heading" fontSize="22px">
                {title}
              </Dialog.Title>
            </Dialog.Header>
            {children}
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
