/** What the page of one print of an order is opened with; null: the first. */
export interface PrintPageProps {
  orderId: string;
  lineId: string | null;
  printKey: string | null;
}
