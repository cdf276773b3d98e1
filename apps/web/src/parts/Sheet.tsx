import { ModalOverlay, Modal, type ModalOverlayProps } from 'react-aria-components';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { colour } from './tokens.js';

const Shade = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 4;
  display: grid;
  place-items: center;
  padding: 16px;
  background: rgb(15 23 30 / 45%);
  > div {
    width: min(540px, 100%);
    max-height: 100%;
    overflow: auto;
  }
  section {
    padding: 24px 28px;
    border-radius: 5px;
    background: ${colour('paper')};
    outline: none;
  }
  h2 {
    margin: 0 0 14px;
  }
`;

/** A sheet laid over the page; it holds a React Aria dialog. */
export const Sheet = ({
  children,
  ...props
}: Omit<ModalOverlayProps, 'children'> & { children: ReactNode }): ReactElement => (
  <Shade {...props}>
    <Modal>{children}</Modal>
  </Shade>
);
